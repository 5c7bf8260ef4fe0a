package zinctally.web.goods;

import java.security.Principal;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
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
import zinctally.web.shell.Typed;

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
    ItemCard card = card(id);
    Map<String, String> fields = new HashMap<>();
    for (Level level : levels.of(id)) {
      fields.put("least." + level.place(), said(level.least(), card.units()));
      fields.put("most." + level.place(), said(level.most(), card.units()));
    }
    return form(card, fields, Map.of(), model);
  }

  private static String said(@Nullable Quantity quantity, Units units) {
    return quantity == null ? "" : units.typed(quantity);
  }

  private String form(
      ItemCard card, Map<String, String> fields, Map<String, String> faults, Model model) {
    model.addAttribute("card", card);
    model.addAttribute("levels", levels.of(card.id()));
    model.addAttribute("fields", fields);
    model.addAttribute("faults", faults);
    return "goods/places";
  }

  @SetsUp
  @PostMapping("/goods/item/{id:\\d+}/places")
  String save(
      @PathVariable long id,
      @RequestParam Map<String, String> typed,
      Model model,
      Principal who,
      RedirectAttributes after) {
    return setUp.alone(
        () -> {
          ItemCard card = card(id);
          Map<String, String> faults = new LinkedHashMap<>();
          Typed cells = new Typed(typed, faults);
          List<Level> said =
              levels.of(id).stream().map(l -> typed(l, card.units(), cells)).toList();
          if (!faults.isEmpty()) return form(card, typed, faults, model);
          levels.save(id, said, who.getName());
          after.addFlashAttribute("told", "Kept.");
          return "redirect:/goods/item/" + id + "/places";
        });
  }

  private static Level typed(Level level, Units units, Typed cells) {
    String most = "most." + level.place();
    String atLeast = "least." + level.place();
    @Nullable Quantity least = cells.quantity(atLeast, units);
    @Nullable Quantity upTo = cells.quantity(most, units);
    if (upTo != null && cells.text(atLeast, 30).isEmpty())
      cells.fault(most, "To be filled up it needs a least, too.");
    if (least != null && upTo != null && upTo.micros() < least.micros())
      cells.fault(most, "Less than its least, " + units.say(least) + ".");
    return new Level(level.place(), level.name(), level.here(), least, upTo);
  }
}
