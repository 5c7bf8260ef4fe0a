package zinctally.web.goods;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.core.cost.Method;
import zinctally.core.number.Quantity;
import zinctally.core.units.Units;
import zinctally.store.goods.Arrivals;
import zinctally.store.goods.GroupStore;
import zinctally.store.goods.ItemCard;
import zinctally.store.goods.ItemStore;
import zinctally.store.goods.LadderStore;
import zinctally.store.goods.StockStore;
import zinctally.store.goods.WhatIfStore;
import zinctally.store.goods.WhyStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PostedPaper;
import zinctally.web.picture.LadderPicture;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Say;

/** Why a cost is what it is, and what it would be under another method. */
@Controller
class WhyController {
  private final WhyStore why;
  private final WhatIfStore whatIf;
  private final LadderStore ladders;
  private final ItemStore items;
  private final StockStore stocks;
  private final GroupStore groups;
  private final PaperStore papers;
  private final Say say;

  WhyController(
      WhyStore why,
      WhatIfStore whatIf,
      LadderStore ladders,
      ItemStore items,
      StockStore stocks,
      GroupStore groups,
      PaperStore papers,
      Say say) {
    this.why = why;
    this.whatIf = whatIf;
    this.ladders = ladders;
    this.items = items;
    this.stocks = stocks;
    this.groups = groups;
    this.papers = papers;
    this.say = say;
  }

  /** Part of a sentence: words, or a link to the paper or page it speaks of. */
  record Piece(String says, String href, String linked) {
    static Piece of(String says) {
      return new Piece(says, "", "");
    }

    static Piece of(PaperStore.PaperRef paper) {
      return new Piece("", "/papers/" + paper.id(), paper.number());
    }
  }

  /** One line's story. */
  record Story(long item, String name, String heading, List<List<Piece>> sentences) {}

  @GetMapping("/papers/{id}/why")
  String paper(@PathVariable long id, Model model) {
    PostedPaper paper = papers.find(id).orElseThrow(() -> new NotThere("paper " + id));
    model.addAttribute("paper", paper);
    model.addAttribute("cost", papers.earned(id).cost());
    model.addAttribute("stories", why.ofPaper(id).stream().map(this::story).toList());
    return "goods/why-paper";
  }

  private Story story(WhyStore.Line line) {
    ItemCard card = items.find(line.item()).orElseThrow();
    Units units = card.units();
    List<List<Piece>> sentences = new ArrayList<>();
    if (line.average()) {
      sentences.add(
          List.of(
              Piece.of(
                  "Just before, "
                      + units.say(new Quantity(line.poolQuantity()))
                      + " were here, worth "
                      + say.money(line.poolValue())
                      + ": "
                      + each(line.poolValue(), line.poolQuantity())
                      + " on average.")));
      for (Arrivals.Part part : line.recent())
        sentences.add(arrival("Into that average came ", part, units, false));
    } else for (Arrivals.Part part : line.parts()) sentences.add(arrival("", part, units, true));
    boolean first = true;
    for (WhyStore.Booking booking : line.bookings()) {
      sentences.add(
          List.of(
              Piece.of(
                  (first ? "Booked " : "Put right by ")
                      + (first ? say.money(-booking.value()) : say.change(-booking.value()))
                      + " on "
                      + booking.date()
                      + ", by "),
              Piece.of(booking.cause())));
      first = false;
    }
    String heading =
        units.say(new Quantity(line.quantity()))
            + " for "
            + say.money(line.cost())
            + ", "
            + each(line.cost(), line.quantity());
    return new Story(card.id(), card.name(), heading, sentences);
  }

  private String each(long value, long quantity) {
    return quantity == 0 ? "none" : say.each(value, quantity) + " each";
  }

  private List<Piece> arrival(String begin, Arrivals.Part part, Units units, boolean taken) {
    List<Piece> pieces = new ArrayList<>();
    String quantity = units.say(new Quantity(part.quantity()));
    if (part.paper() == null) {
      pieces.add(
          Piece.of(
              taken
                  ? quantity
                      + " have not come yet and stand at "
                      + say.money(part.value())
                      + ", provisionally."
                  : quantity + ", worth " + say.money(part.value()) + ", share one average."));
      return pieces;
    }
    if (taken)
      pieces.add(
          Piece.of(
              quantity
                  + " for "
                  + say.money(part.value())
                  + (part.back() ? " came back with " : " came from ")));
    else pieces.add(Piece.of(begin));
    pieces.add(Piece.of(part.paper()));
    pieces.add(
        Piece.of(
            " of "
                + part.paper().date()
                + ": "
                + units.say(new Quantity(part.whole()))
                + (part.back()
                    ? " at the cost at which they left, "
                    : part.made() == null ? " at the price of " : " made at ")
                + say.money(part.price())));
    for (Arrivals.Charge charge : part.charges()) {
      pieces.add(Piece.of(", " + say.change(charge.amount()) + " by "));
      pieces.add(Piece.of(charge.paper()));
    }
    pieces.add(Piece.of(", so " + each(part.wholeValue(), part.whole()) + "."));
    if (part.made() != null) made(part, part.made(), pieces);
    return pieces;
  }

  /** What it was made of, and the page that says why that cost so much. */
  private void made(Arrivals.Part part, Arrivals.Made made, List<Piece> pieces) {
    List<String> of = new ArrayList<>();
    for (Arrivals.Component c : made.components())
      of.add(
          c.units().say(new Quantity(c.quantity()))
              + " "
              + c.item()
              + " for "
              + say.money(c.cost()));
    if (made.work() != 0) of.add(say.money(made.work()) + " of work");
    pieces.add(Piece.of(" Into " + Objects.requireNonNull(part.paper()).number() + " went "));
    pieces.add(Piece.of(String.join(", ", of) + ": "));
    pieces.add(new Piece("", "/papers/" + part.paper().id() + "/why", "why those cost that"));
    pieces.add(Piece.of("."));
  }

  @GetMapping("/goods/item/{id}/why")
  String item(@PathVariable long id, Model model) {
    ItemCard card = items.find(id).orElseThrow(() -> new NotThere("item " + id));
    StockStore.Stock stock = stocks.stock(id);
    List<List<Piece>> sentences = new ArrayList<>();
    for (Arrivals.Part part : why.onHand(id))
      sentences.add(arrival("", part, card.units(), part.paper() != null));
    if (card.method() == Method.AVERAGE)
      for (Arrivals.Part part : why.latestArrivals(id))
        sentences.add(arrival("Into that average came ", part, card.units(), false));
    model.addAttribute("card", card);
    model.addAttribute("onHand", card.units().say(new Quantity(stock.onHand())));
    model.addAttribute("stock", stock);
    model.addAttribute("sentences", sentences);
    List<LadderStore.Rung> rungs = ladders.ladder(id, card.method(), 8);
    model.addAttribute("rungs", rungs);
    model.addAttribute("ladder", LadderPicture.of(rungs, card.units(), say));
    show(whatIf.compare(List.of(id)), model);
    return "goods/why-item";
  }

  /** One method's outcome in words. */
  record Shown(String method, String sold, String margin, String worth) {}

  private void show(WhatIfStore.Comparison comparison, Model model) {
    List<Shown> shown = new ArrayList<>();
    shown.add(shown("as booked", comparison.booked(), comparison.sales()));
    for (WhatIfStore.Outcome outcome : comparison.outcomes())
      shown.add(
          shown(Objects.requireNonNull(outcome.method()).words(), outcome, comparison.sales()));
    model.addAttribute("outcomes", shown);
    model.addAttribute("sales", say.money(comparison.sales()));
    model.addAttribute("left", comparison.left());
    model.addAttribute("compared", comparison.items());
  }

  private Shown shown(String words, WhatIfStore.Outcome outcome, long sales) {
    return new Shown(
        words,
        say.money(outcome.sold()),
        say.margin(sales, outcome.sold()),
        say.money(outcome.worth()));
  }

  @GetMapping("/goods/what-if")
  String whatIf(@RequestParam(defaultValue = "0") long group, Model model) {
    GroupStore.Tree tree = groups.tree();
    GroupStore.Group of = tree.group(group);
    List<Long> within =
        of == null
            ? List.of()
            : tree.inOrder().stream()
                .map(GroupStore.Group::id)
                .filter(id -> tree.within(id, group))
                .toList();
    model.addAttribute("tree", tree);
    model.addAttribute("group", group);
    show(whatIf.compare(whatIf.items(within)), model);
    return "goods/what-if";
  }
}
