package zinctally.web.machine;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import zinctally.store.check.CheckRuns;
import zinctally.store.machine.MachineStore;
import zinctally.web.shell.Owns;
import zinctally.web.shell.Say;

/** The page of the machine the book lies on. */
@Controller
class MachineController {
  private static final int SHOWN = 20;
  private final Machine machine;
  private final MachineStore store;
  private final CheckRuns checks;
  private final Say say;

  MachineController(Machine machine, MachineStore store, CheckRuns checks, Say say) {
    this.machine = machine;
    this.store = store;
    this.checks = checks;
    this.say = say;
  }

  /** A backup in words. */
  record Shown(String of, String file, String size, String took) {}

  @Owns
  @GetMapping("/setup/machine")
  String machine(Model model) {
    Machine.Room room = machine.room();
    MachineStore.Database database = store.database();
    model.addAttribute("free", say.bytes(room.free()));
    model.addAttribute("all", say.bytes(room.all()));
    model.addAttribute("little", room.little());
    model.addAttribute("database", database.version());
    model.addAttribute("takes", say.bytes(database.bytes()));
    model.addAttribute("check", checks.latest().orElse(null));
    model.addAttribute("worry", machine.worry().orElse(null));
    List<Shown> backups =
        store.backups(SHOWN).stream()
            .map(
                b ->
                    new Shown(
                        say.moment(b.madeAt()), b.file(), say.bytes(b.bytes()), b.seconds() + " s"))
            .toList();
    model.addAttribute("backups", backups);
    return "machine/machine";
  }
}
