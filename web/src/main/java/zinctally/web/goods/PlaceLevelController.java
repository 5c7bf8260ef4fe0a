package zinctally.web.goods;

import jakarta.servlet.http.HttpServletRequest;
import java.security.Principal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.number.Quantity;
import zinctally.core.units.Units;
import zinctally.store.book.SetUp;
import zinctally.store.goods.ItemCard;
import zinctally.store.goods.ItemStore;
import zinctally.store.goods.PlaceLevels;
import zinctally.store.goods.PlaceLevels.Level;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.SetsUp;

/** How much of an item each place should have. */
@Controller
class PlaceLevelController {
  private final SetUp setUp;
  private final ItemStore items;
  private final PlaceLevels levels;

  PlaceLevelController(SetUp setUp, ItemStore items, PlaceLevels levels) {
    this.setUp = setUp;
    this.items = items;
    this.levels = levels;
  }

  private ItemCard card(long id) {
    return items.find(id).orElseThrow(() -> new NotThere("item " + id));
  }

  @SetsUp
  @GetMapping("/goods/item/{id:\\d+}/places")
  String show(@PathVariable long id, Model model) {
    model.addAttribute("card", card(id));
    model.addAttribute("levels", levels.of(id));
    return "goods/places";
  }

  @SetsUp
  @PostMapping("/goods/item/{id:\\d+}/places")
  String save(
      @PathVariable long id, HttpServletRequest request, Principal who, RedirectAttributes after) {
    ItemCard card = card(id);
    List<String> faults = new ArrayList<>();
    return setUp.alone(
        () -> {
          List<Level> typed =
              levels.of(id).stream().map(l -> typed(l, card.units(), request, faults)).toList();
          if (faults.isEmpty()) {
            levels.save(id, typed, who.getName());
            after.addFlashAttribute("told", "Kept.");
          } else after.addFlashAttribute("wrong", String.join(" ", faults));
          return "redirect:/goods/item/" + id + "/places";
        });
  }

  private static Level typed(
      Level level, Units units, HttpServletRequest request, List<String> faults) {
    @Nullable Quantity least = quantity("least", level, units, request, faults);
    @Nullable Quantity most = quantity("most", level, units, request, faults);
    if (least == null && most != null)
      faults.add(level.name() + ": to be filled up it needs a least, too.");
    if (least != null && most != null && most.micros() < least.micros())
      faults.add(
          level.name()
              + ": up to "
              + units.say(most)
              + " is less than its least, "
              + units.say(least)
              + ".");
    return new Level(level.place(), level.name(), level.here(), least, most);
  }

  private static @Nullable Quantity quantity(
      String which, Level level, Units units, HttpServletRequest request, List<String> faults) {
    String typed =
        Optional.ofNullable(request.getParameter(which + "." + level.place())).orElse("").strip();
    if (typed.isEmpty()) return null;
    Optional<Units.Typed> read =
        typed.length() > 40
            ? Optional.empty()
            : units.read(typed).filter(q -> q.quantity().signum() >= 0);
    if (read.isEmpty())
      faults.add(level.name() + ": \"" + typed + "\" is not a quantity of this item.");
    return read.map(Units.Typed::quantity).orElse(null);
  }
}
