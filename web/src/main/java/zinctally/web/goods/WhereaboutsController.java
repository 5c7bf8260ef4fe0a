package zinctally.web.goods;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.core.number.Quantity;
import zinctally.core.units.Units;
import zinctally.store.goods.ItemCard;
import zinctally.store.goods.ItemStore;
import zinctally.store.goods.StockTimeStore;
import zinctally.store.goods.WhereaboutsStore;
import zinctally.web.picture.StockTimePicture;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Say;

/** Where an item's goods are, whose and how, and how many there were over time. */
@Controller
class WhereaboutsController {
  private static final List<Integer> MONTHS = List.of(3, 6, 12, 24);
  private final ItemStore items;
  private final WhereaboutsStore whereabouts;
  private final StockTimeStore times;
  private final Clock clock;
  private final Say say;

  WhereaboutsController(
      ItemStore items, WhereaboutsStore whereabouts, StockTimeStore times, Clock clock, Say say) {
    this.say = say;
    this.items = items;
    this.whereabouts = whereabouts;
    this.times = times;
    this.clock = clock;
  }

  /**
   * One of the figures that were one, in words.
   *
   * @param part names its table on the page of all of them
   */
  record Part(String name, String quantity, String part) {
    private static Part of(Units units, String name, long micros, String part) {
      return new Part(name, units.say(new Quantity(micros)), part);
    }

    /** Those that there are; what is free is always said. */
    static List<Part> of(Units units, WhereaboutsStore.Parts parts) {
      List<Part> said = new ArrayList<>(List.of(of(units, "Free", parts.free(), "at")));
      if (parts.promised() != 0) said.add(of(units, "Promised", parts.promised(), "promised"));
      if (parts.apart() != 0) said.add(of(units, "Kept apart", parts.apart(), "at"));
      if (parts.onTheWay() != 0) said.add(of(units, "On the way", parts.onTheWay(), "at"));
      if (parts.elsewhere() != 0) said.add(of(units, "Elsewhere", parts.elsewhere(), "at"));
      if (parts.onOrder() != 0) said.add(of(units, "On order", parts.onOrder(), "coming"));
      if (parts.ofOthers() != 0) said.add(of(units, "Of others", parts.ofOthers(), "at"));
      return said;
    }
  }

  @GetMapping("/goods/item/{id}/where")
  String where(@PathVariable long id, Model model) {
    ItemCard card = items.find(id).orElseThrow(() -> new NotThere("item " + id));
    WhereaboutsStore.Parts parts = whereabouts.parts(id);
    model.addAttribute("card", card);
    model.addAttribute("parts", Part.of(card.units(), parts));
    model.addAttribute("ours", card.units().say(new Quantity(parts.ours())));
    model.addAttribute("at", whereabouts.at(id));
    model.addAttribute("promised", whereabouts.promised(id));
    model.addAttribute("coming", whereabouts.onOrder(id));
    return "goods/where";
  }

  @GetMapping("/goods/item/{id}/time")
  String time(@PathVariable long id, @RequestParam(defaultValue = "12") int months, Model model) {
    ItemCard card = items.find(id).orElseThrow(() -> new NotThere("item " + id));
    int shown = MONTHS.contains(months) ? months : 12;
    LocalDate today = LocalDate.now(clock);
    LocalDate from = today.minusMonths(shown);
    model.addAttribute("card", card);
    model.addAttribute("months", MONTHS);
    model.addAttribute("shown", shown);
    model.addAttribute(
        "picture",
        StockTimePicture.of(
            from,
            today,
            whereabouts.parts(id).ours(),
            times.since(id, from),
            times.ordered(id, from),
            times.counted(id, from),
            card.reorderPoint() == null ? null : card.reorderPoint().micros(),
            say::quantity));
    return "goods/time";
  }
}
