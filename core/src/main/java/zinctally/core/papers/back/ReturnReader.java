package zinctally.core.papers.back;

import static zinctally.core.papers.read.Reader.known;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.goods.Tracking;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.Role;
import zinctally.core.number.Quantity;
import zinctally.core.number.Share;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Fault;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.Standing;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.flow.Traded;
import zinctally.core.papers.read.NumbersReader;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;
import zinctally.core.papers.stock.Reason;
import zinctally.core.units.Units;

/** Reads a return, line by line against the paper the goods came or went with. */
public final class ReturnReader {
  private final Reader in;

  private final boolean toSupplier;

  private final @Nullable Party who;

  private final @Nullable LocalDate date;

  private final @Nullable Place place;

  private final NumbersReader numbers;
  private final PartsReader sharing;

  private ReturnReader(Reader in) {
    this.in = in;
    toSupplier = in.draft.kind() == PaperKind.SUPPLIER_RETURN;
    date = in.date();
    who = in.party();
    place = in.place("place", in.draft.field("place"));
    numbers = new NumbersReader(in);
    sharing = new PartsReader(toSupplier);
  }

  public static Reading goesBack(Reader in) {
    return new ReturnReader(in).read();
  }

  private Reading read() {
    String reference = in.text("reference");
    String note = in.text("reason");
    boolean paid = !toSupplier && !in.draft.field("back").isEmpty();
    Account money = paid ? back() : null;
    List<Return.Line> lines = new ArrayList<>();
    for (RowReader row : in.rows()) {
      Return.Line line = line(row);
      if (line != null) lines.add(line);
    }
    if (toSupplier && date != null) sayCharged(date, lines);
    if (lines.isEmpty() && in.sound())
      in.fault(
          "rows.0.paper",
          toSupplier
              ? "There is no line yet: which bill or receipt, which item, how many."
              : "There is no line yet: which invoice or delivery, which item, how many.");
    return in.done(
        () ->
            new Return(
                in.draft.kind(),
                known(date),
                known(who),
                reference,
                note,
                money,
                known(place),
                List.copyOf(lines)));
  }

  private Return.@Nullable Line line(RowReader row) {
    List<Traded> goods = traded(row);
    ReturnReason reason = reason(row);
    Goes goes = goes(row);
    if (goods.isEmpty()) return null;
    Item item = goods.get(0).item();
    Units.Typed quantity = row.quantity(item.units());
    row.facts(
        new Reading.RowFacts(
            item.id(), item.name(), quantity == null ? "" : quantity.unit().sign(), null));
    if (quantity == null) return null;
    long micros = quantity.quantity().micros();
    if (micros == 0) return null; // none of this line comes back
    if (micros < 0) {
      row.fault("quantity", "How many come back? Zero for none, or more.");
      return null;
    }
    if (toSupplier) row.askPromised(item, place, micros, 0);
    List<Numbered> given = List.of();
    if (item.tracked()) {
      given =
          toSupplier
              ? numbers.leaving(row, item, micros, place, PartsReader.lotsOf(goods))
              : numbers.returning(row, item, micros);
      if (given == null) return null;
    }
    List<Return.Part> parts =
        item.tracking() == Tracking.SERIAL
            ? sharing.bySerial(row, goods, given)
            : sharing.byArrival(row, goods, micros, given);
    if (parts == null || !row.sound()) return null;
    if (!toSupplier) stillHere(row, item, goods, micros);
    Traded of = parts.get(0).of();
    long drawn =
        of.unbilled() == null ? 0 : sharing.drawn(row, of.unbilled(), quantity.quantity().micros());
    long net = of.unbilled() == null ? net(parts) : toSupplier ? drawn : 0;
    long tax = of.rate() == null ? 0 : of.rate().onNet(net);
    row.amounting(net);
    if (!row.sound() || goes.place() == null) return null;
    return new Return.Line(
        row.index(),
        item,
        quantity.quantity(),
        quantity.unit().sign(),
        net,
        drawn,
        tax,
        reason,
        goes.place(),
        goes.thrown(),
        parts);
  }

  /** Asks when goods would come back of which a customer has left some here. */
  private void stillHere(RowReader row, Item item, List<Traded> goods, long micros) {
    if (who == null) return;
    long kept =
        in.book.awaited(Awaits.KEPT_HERE, who.id(), item.id()).stream()
            .mapToLong(Awaited::openQuantity)
            .sum();
    if (kept <= 0 || micros <= goods.stream().mapToLong(Traded::returnable).sum() - kept) return;
    row.ask(
        "quantity",
        item.units().say(new Quantity(kept))
            + " of "
            + item.name()
            + " that "
            + who.name()
            + " bought are still here as theirs. What comes back of these is handed over first.");
  }

  /** Goods take along what is charged on them, also by charges of after the day they leave. */
  private void sayCharged(LocalDate date, List<Return.Line> lines) {
    Map<Long, List<Catalogue.LateCharge>> charges =
        in.book.chargedAfter(
            date,
            lines.stream().flatMap(l -> l.parts().stream()).map(p -> p.of().event()).toList());
    for (Return.Line line : lines) {
      String late =
          line.parts().stream()
              .flatMap(p -> charges.getOrDefault(p.of().event(), List.of()).stream())
              .distinct()
              .map(c -> c.number() + " of " + c.date())
              .collect(Collectors.joining(", "));
      if (!late.isEmpty())
        in.note(
            Fault.at(
                line.row(),
                "quantity",
                "These goods bear a charge of after this day, "
                    + late
                    + ": what goes back leaves with its share of it."));
    }
  }

  /** Credit at the first paper's price. */
  private static long net(List<Return.Part> parts) {
    long net = 0;
    for (Return.Part part : parts)
      net =
          Math.addExact(
              net,
              part.quantity() == part.of().quantity()
                  ? part.of().net()
                  : Share.of(part.of().net(), part.quantity(), part.of().quantity()));
    return net;
  }

  /** The account that gives the money back. */
  private @Nullable Account back() {
    Optional<Account> account = in.book.account(in.draft.field("back"));
    if (account.filter(a -> a.role() == Role.MONEY && a.active()).isPresent()) return account.get();
    in.fault("back", "Money back is from a bank or cash account; credit needs none.");
    return null;
  }

  /**
   * @param thrown null when the goods are kept
   */
  private record Goes(@Nullable Place place, @Nullable Reason thrown) {}

  /**
   * Where the goods of a row go: to the paper's place, as they should be or not, to another, or
   * away for a reason.
   */
  private Goes goes(RowReader row) {
    String typed = toSupplier ? "" : row.cell("goods");
    if (typed.isEmpty()) return new Goes(place, null);
    Optional<Place> other = in.book.place(typed);
    if (other.isPresent()) return new Goes(other.get(), null);
    Optional<Reason> thrown = in.book.reason(typed);
    if (thrown.isPresent()) return new Goes(place, thrown.get());
    Optional<Standing> standing = in.book.standing(typed);
    if (standing.isPresent() && place != null)
      return new Goes(in.book.as(place, standing.get(), null), null);
    row.fault(
        "goods",
        "\""
            + typed
            + "\" is neither a place for the goods, nor a standing, nor a reason to write them off.");
    return new Goes(place, null);
  }

  private @Nullable ReturnReason reason(RowReader row) {
    String typed = row.cell("reason");
    if (typed.isEmpty()) return null;
    Optional<ReturnReason> reason = in.book.returnReason(typed);
    if (reason.isEmpty())
      row.fault("reason", "There is no reason \"" + typed + "\" for returns; Set up lists them.");
    return reason.orElse(null);
  }

  /** Goods whose bill or invoice came before them go back against that, with its tax. */
  private List<Traded> asBilled(Traded of) {
    if (of.billedWith().isEmpty()) return List.of(of);
    return in.book.traded(of.billedWith()).stream().filter(t -> t.event() == of.event()).toList();
  }

  /** The goods a row speaks of; none when something is wrong. */
  private List<Traded> traded(RowReader row) {
    String number = row.cell("paper");
    String word = toSupplier ? "bill or receipt" : "invoice or delivery";
    List<Traded> lines =
        number.isEmpty()
            ? List.of()
            : in.book.traded(number).stream()
                .filter(t -> t.kind().side().equals(in.draft.kind().side()))
                .flatMap(t -> asBilled(t).stream())
                .toList();
    if (lines.isEmpty()) {
      row.fault(
          "paper",
          number.isEmpty()
              ? "With which " + word + " did the goods " + (toSupplier ? "come?" : "go?")
              : "No " + word + " \"" + number + "\" with goods is posted here.");
      return List.of();
    }
    Traded first = lines.get(0);
    if (who != null && first.party() != who.id())
      row.fault("paper", number + " is not " + (toSupplier ? "from " : "for ") + who.name() + ".");
    if (date != null && date.isBefore(first.date()))
      row.fault("paper", number + " is of " + first.date() + "; goods cannot come back before.");
    String typed = row.cell("item");
    Optional<Item> item = typed.isEmpty() ? Optional.empty() : in.book.item(typed);
    List<Traded> some =
        lines.stream()
            .filter(t -> item.isEmpty() ? typed.isEmpty() : t.item().id() == item.get().id())
            .toList();
    if (some.isEmpty()) row.fault("item", "\"" + typed + "\" does not stand on " + number + ".");
    else if (typed.isEmpty() && some.stream().map(Traded::line).distinct().count() > 1)
      row.fault("item", number + " has several lines; which item comes back?");
    return !row.sound() ? List.of() : some;
  }
}
