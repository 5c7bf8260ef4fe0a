package zinctally.core.papers.back;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
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
import zinctally.core.papers.flow.Awaited;
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
  private final Party who;
  private final LocalDate date;
  private final Place place;
  private final NumbersReader numbers;
  private final Map<List<Long>, Long> taken = new HashMap<>();
  private final Map<Long, Long> valueTaken = new HashMap<>();

  private ReturnReader(Reader in) {
    this.in = in;
    toSupplier = in.draft.kind() == PaperKind.SUPPLIER_RETURN;
    date = in.date();
    who = in.party();
    place = in.place("place", in.draft.field("place"));
    numbers = new NumbersReader(in);
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
    if (toSupplier && date != null) sayCharged(lines);
    if (lines.isEmpty() && in.sound())
      in.fault(
          "rows.0.paper",
          toSupplier
              ? "There is no line yet: which bill or receipt, which item, how many."
              : "There is no line yet: which invoice or delivery, which item, how many.");
    return in.done(
        () ->
            new Return(
                in.draft.kind(), date, who, reference, note, money, place, List.copyOf(lines)));
  }

  private Return.Line line(RowReader row) {
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
              ? numbers.leaving(row, item, micros, place, lotsOf(goods))
              : numbers.returning(row, item, micros);
      if (given == null) return null;
    }
    List<Return.Part> parts =
        item.tracking() == Tracking.SERIAL
            ? bySerial(row, goods, given)
            : byArrival(row, goods, micros, given);
    if (parts == null || !row.sound()) return null;
    Traded of = parts.get(0).of();
    long drawn =
        of.unbilled() == null ? 0 : drawn(row, of.unbilled(), quantity.quantity().micros());
    long net = of.unbilled() == null ? net(parts) : toSupplier ? drawn : 0;
    long tax = of.rate() == null ? 0 : of.rate().onNet(net);
    row.amounting(net);
    if (!row.sound()) return null;
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

  /** Goods take along what is charged on them, also by charges of after the day they leave. */
  private void sayCharged(List<Return.Line> lines) {
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

  /** What goods without a bill or invoice stand at on the account where they wait for it. */
  private long drawn(RowReader row, Awaited unbilled, long micros) {
    long before = taken.getOrDefault(List.of(-unbilled.id()), 0L);
    if (micros > unbilled.openQuantity() - before)
      row.fault(
          "quantity",
          say(unbilled.item(), Math.max(0, unbilled.openQuantity() - before))
              + " of "
              + unbilled.item().name()
              + " on "
              + unbilled.number()
              + (toSupplier
                  ? " are not billed; for the rest name the bill."
                  : " are not invoiced; for the rest name the invoice."));
    taken.merge(List.of(-unbilled.id()), micros, Long::sum);
    long value = unbilled.draw(micros, before, valueTaken.getOrDefault(unbilled.id(), 0L));
    valueTaken.merge(unbilled.id(), value, Long::sum);
    return value;
  }

  private static String say(Item item, long micros) {
    return item.units().say(new Quantity(micros));
  }

  private static List<Long> key(Traded of) {
    return List.of(of.paper(), (long) of.line(), of.event());
  }

  private long left(Traded of) {
    return of.returnable() - taken.getOrDefault(key(of), 0L);
  }

  /** From the first line that has some left, in the order in which its goods came. */
  private List<Return.Part> byArrival(
      RowReader row, List<Traded> goods, long micros, List<Numbered> given) {
    int line = goods.stream().filter(t -> left(t) > 0).findFirst().orElse(goods.get(0)).line();
    List<Traded> some = goods.stream().filter(t -> t.line() == line).toList();
    long there = some.stream().mapToLong(Traded::quantity).sum();
    long free = some.stream().mapToLong(t -> Math.max(0, left(t))).sum();
    Traded first = some.get(0);
    if (micros > free) {
      row.fault(
          "quantity",
          say(first.item(), free)
              + " of "
              + first.item().name()
              + " on "
              + first.number()
              + " can still go back; of "
              + say(first.item(), there)
              + " there, "
              + say(first.item(), there - free)
              + " have.");
      return null;
    }
    if (some.stream().anyMatch(t -> !t.lots().isEmpty())) return byLot(row, some, given);
    List<Return.Part> parts = new ArrayList<>();
    List<Numbered> lots = new ArrayList<>(given);
    long wanted = micros;
    for (Traded of : some) {
      long part = Math.min(wanted, Math.max(0, left(of)));
      if (part == 0) continue;
      parts.add(new Return.Part(of, part, Numbered.take(lots, part)));
      taken.merge(key(of), part, Long::sum);
      wanted -= part;
    }
    return parts;
  }

  private static Set<Long> lotsOf(List<Traded> goods) {
    Set<Long> lots = new HashSet<>();
    for (Traded of : goods) {
      if (of.lot() != 0) lots.add(of.lot());
      lots.addAll(of.lots().keySet());
    }
    return lots;
  }

  private long left(Traded of, long lot) {
    return of.lots().getOrDefault(lot, 0L)
        - taken.getOrDefault(List.of(of.event(), -lot, (long) of.line()), 0L);
  }

  /** Each lot from the goods it went or came with, no more than did. */
  private List<Return.Part> byLot(RowReader row, List<Traded> goods, List<Numbered> given) {
    List<Return.Part> parts = new ArrayList<>();
    for (Numbered lot : given) {
      long id = lot.lot().id();
      long wanted = lot.quantity();
      long free = goods.stream().mapToLong(t -> Math.max(0, left(t, id))).sum();
      if (wanted > free) {
        row.fault(
            "numbers",
            say(goods.get(0).item(), free)
                + " of lot "
                + lot.lot().code()
                + " on "
                + goods.get(0).number()
                + " can still go back, not "
                + say(goods.get(0).item(), wanted)
                + ".");
        return null;
      }
      for (Traded of : goods) {
        long part = Math.min(wanted, Math.max(0, left(of, id)));
        if (part == 0) continue;
        parts.add(new Return.Part(of, part, List.of(new Numbered(lot.lot(), part, lot.arrival()))));
        taken.merge(List.of(of.event(), -id, (long) of.line()), part, Long::sum);
        taken.merge(key(of), part, Long::sum);
        wanted -= part;
      }
    }
    return parts;
  }

  private List<Return.Part> bySerial(RowReader row, List<Traded> goods, List<Numbered> given) {
    List<Return.Part> parts = new ArrayList<>();
    for (Numbered one : given) {
      Optional<Traded> of =
          goods.stream().filter(t -> t.lot() == one.lot().id() && left(t) > 0).findFirst();
      if (of.isEmpty()) {
        row.fault(
            "numbers", one.lot().code() + " is not among those of " + goods.get(0).number() + ".");
        return null;
      }
      if (!parts.isEmpty() && parts.get(0).of().line() != of.get().line()) {
        row.fault(
            "numbers",
            one.lot().code()
                + " stands on another line of "
                + of.get().number()
                + "; write it on a line of its own here.");
        return null;
      }
      parts.add(new Return.Part(of.get(), one.quantity(), List.of(one)));
      taken.merge(key(of.get()), one.quantity(), Long::sum);
    }
    return parts;
  }

  /** The account that gives the money back. */
  private Account back() {
    Optional<Account> account = in.book.account(in.draft.field("back"));
    if (account.filter(a -> a.role() == Role.MONEY && a.active()).isPresent()) return account.get();
    in.fault("back", "Money back is from a bank or cash account; credit needs none.");
    return null;
  }

  /**
   * @param thrown null when the goods are kept
   */
  private record Goes(Place place, Reason thrown) {}

  /** Where the goods of a row go: to the paper's place, to another, or away for a reason. */
  private Goes goes(RowReader row) {
    String typed = toSupplier ? "" : row.cell("goods");
    if (typed.isEmpty()) return new Goes(place, null);
    Optional<Place> other = in.book.place(typed);
    if (other.isPresent()) return new Goes(other.get(), null);
    Optional<Reason> thrown = in.book.reason(typed);
    if (thrown.isPresent()) return new Goes(place, thrown.get());
    row.fault(
        "goods",
        "\"" + typed + "\" is neither a place for the goods nor a reason to write them off.");
    return new Goes(place, null);
  }

  private ReturnReason reason(RowReader row) {
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
