package zinctally.web.paper;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import zinctally.core.goods.Item;
import zinctally.core.number.Figures;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Reading;
import zinctally.core.papers.Trait;
import zinctally.core.units.Units;
import zinctally.store.book.BookCatalogue;
import zinctally.web.shell.Say;

/** What cells left empty are offered: prices, discounts, tax, lots. */
@Component
class RowOffers {
  private final Say say;

  RowOffers(Say say) {
    this.say = say;
  }

  /** What cells left empty are offered; nothing is looked up for those that are filled. */
  Map<String, String> offered(
      int row, Reading.RowFacts facts, @Nullable Item item, AskedOfRows asked) {
    Map<String, String> offered = new HashMap<>();
    PaperKind kind = asked.draft().kind();
    if (kind.is(Trait.PRICED) && asked.follows(row, "tax"))
      offered.put(
          "tax",
          item == null
              ? asked.taxes().ofAccount(facts.account())
              : asked.taxes().ofItem(item.id()));
    if (item == null) return offered;
    if (kind.is(Trait.SENDS) && asked.follows(row, "numbers"))
      offered.put("numbers", lots(asked.draft(), row, item, asked.book()));
    if (asked.follows(row, "price"))
      offered.put(
          "price",
          asked.selling()
              ? price(row, item, facts.unit(), asked)
              : cost(kind, item, facts.unit(), asked));
    if (!asked.selling()) return offered;
    boolean plain = asked.follows(row, "discount") && asked.draft().cell(row, "at").isEmpty();
    if (plain && asked.draft().cell(row, "of").isEmpty())
      asked
          .customer()
          .filter(c -> c.discount().signum() > 0)
          .ifPresent(c -> offered.put("discount", Figures.plain(c.discount())));
    return offered;
  }

  /** What the list says, when another price is typed; empty when it says the same. */
  String list(int row, @Nullable Item item, String unit, AskedOfRows asked) {
    if (!asked.selling() || item == null || asked.follows(row, "price")) return "";
    String list = price(row, item, unit, asked);
    Optional<BigDecimal> typed = Figures.read(asked.draft().cell(row, "price"));
    boolean same =
        list.isEmpty()
            || typed.isEmpty()
            || Figures.read(list).filter(l -> l.compareTo(typed.get()) == 0).isPresent();
    return same ? "" : list;
  }

  /** The lots a line would be taken from, those that expire first before others. */
  private String lots(Draft draft, int row, Item item, BookCatalogue book) {
    String typed = draft.cell(row, "quantity");
    boolean one = typed.isEmpty() && draft.kind().is(Trait.COUNTER);
    return item.units()
        .read(one ? "1" : typed)
        .map(t -> new Picked(book, AskedOfRows.place(draft, row)).lots(item, t.quantity().micros()))
        .orElse("");
  }

  private static Quantity size(Item item, String unit) {
    return item.units().shown().stream()
        .filter(u -> u.sign().equals(unit))
        .map(Units.Shown::size)
        .findFirst()
        .orElse(item.units().baseShown().size());
  }

  /** The price of the customer's list on the paper's day for as many as are typed. */
  private String price(int row, Item item, String unit, AskedOfRows asked) {
    Draft draft = asked.draft();
    long micros =
        item.units().read(draft.cell(row, "quantity")).map(t -> t.quantity().micros()).orElse(0L);
    int digits = asked.book().rules().coin().digits();
    boolean paperWithTax = "included".equals(draft.field("prices"));
    String code = draft.cell(row, "tax");
    return asked
        .prices()
        .price(item.id(), micros)
        .map(
            p ->
                p.in(
                    paperWithTax,
                    asked.book().taxRate(code.isEmpty() ? asked.taxes().ofItem(item.id()) : code)))
        .map(p -> p.multiply(size(item, unit).decimal()).stripTrailingZeros())
        .map(p -> Figures.plain(p.scale() < digits ? p.setScale(digits) : p))
        .orElse("");
  }

  /** What the supplier asked last, else the latest cost, for the unit shown. */
  private String cost(PaperKind kind, Item item, String unit, AskedOfRows asked) {
    if (!kind.is(Trait.PRICED) || !kind.isWith(Party.Kind.SUPPLIER)) return "";
    return Optional.ofNullable(asked.last().get(item.id()))
        .or(() -> asked.book().latestCost(item.id()))
        .map(c -> say.each(c.value(), c.micros(), size(item, unit).micros()))
        .orElse("");
  }
}
