package zinctally.web.machine;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import zinctally.store.check.CheckRuns;
import zinctally.store.listing.MachineListings;
import zinctally.store.machine.MachineStore;
import zinctally.web.listing.AreaPage;
import zinctally.web.shell.Owns;
import zinctally.web.shell.Say;

/** The page of the machine the book lies on. */
@Controller
class MachineController {
  private static final String PAGE = "/setup/machine";
  private final Machine machine;
  private final MachineStore store;
  private final CheckRuns checks;
  private final AreaPage page;
  private final Say say;

  MachineController(Machine machine, MachineStore store, CheckRuns checks, AreaPage page, Say say) {
    this.machine = machine;
    this.store = store;
    this.checks = checks;
    this.page = page;
    this.say = say;
  }

  @Owns
  @GetMapping(PAGE)
  @Nullable String machine(Model model, HttpServletRequest request, HttpServletResponse response) {
    Machine.Room room = machine.room();
    MachineStore.Database database = store.database();
    model.addAttribute("free", say.bytes(room.free()));
    model.addAttribute("all", say.bytes(room.all()));
    model.addAttribute("little", room.little());
    model.addAttribute("database", database.version());
    model.addAttribute("takes", say.bytes(database.bytes()));
    model.addAttribute("check", checks.latest().orElse(null));
    model.addAttribute("worry", machine.worry().orElse(null));
    model.addAttribute("heading", "This machine");
    model.addAttribute("above", "machine/machine");
    return page.under(PAGE, MachineListings.backups(), model, request, response);
  }
}
