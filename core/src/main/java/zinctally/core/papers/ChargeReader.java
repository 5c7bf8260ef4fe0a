package zinctally.core.papers;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import zinctally.core.number.Spread;

/** Reads charges on goods: which arrivals bear them, and how they are shared. */
final class ChargeReader {
  private ChargeReader() {}

  static Reading charge(Reader in) {
    LocalDate date = in.date();
    Party who = in.party();
    LocalDate due =
        date == null ? null : in.day("due", date.plusDays(who == null ? 0 : who.termsDays()));
    if (due != null && due.isBefore(date))
      in.fault("due", "Due on " + due + ", which is before the paper's date " + date + ".");
    String number = in.text("their_number");
    String what = in.text("what");
    Long amount = amount(in);
    TaxRate rate = rate(in);
    List<Traded> arrivals = new ArrayList<>();
    List<Long> byHand = new ArrayList<>();
    List<Integer> rows = new ArrayList<>();
    Set<Long> seen = new HashSet<>();
    for (int row = 0; row < in.draft.rows().size(); row++) {
      if (in.draft.blank(row)) continue;
      for (Traded arrival : arrivals(in, row, date)) {
        if (!seen.add(arrival.event())) {
          in.faults.add(
              Fault.at(
                  row,
                  "bill",
                  arrival.item().name()
                      + " of "
                      + arrival.number()
                      + " is on a line above already."));
          continue;
        }
        arrivals.add(arrival);
        rows.add(row);
        byHand.add("hand".equals(in.draft.field("spread")) ? share(in, row) : null);
      }
    }
    if (arrivals.isEmpty() && in.faults.isEmpty())
      in.fault("rows.0.bill", "Which goods bear it? Name the bill or receipt they came with.");
    long[] shares =
        amount == null || !in.faults.isEmpty() ? null : shares(in, amount, arrivals, byHand);
    if (shares == null || !in.faults.isEmpty()) return in.done(() -> null);
    List<Charge.Line> lines = new ArrayList<>();
    for (int i = 0; i < shares.length; i++) {
      Traded arrival = arrivals.get(i);
      lines.add(new Charge.Line(i, arrival, shares[i]));
      Reading.RowFacts before = in.rows.get(rows.get(i));
      long sum = shares[i] + (before == null ? 0 : before.amount());
      String name =
          before == null || before.item() == arrival.item().id()
              ? arrival.item().name()
              : "several lines";
      in.rows.put(
          rows.get(i),
          new Reading.RowFacts(
              name.equals(arrival.item().name()) ? arrival.item().id() : 0, name, "", sum));
    }
    long tax = rate == null ? 0 : rate.onNet(amount);
    return in.done(
        () -> new Charge(date, due, who, number, what, amount, tax, rate, List.copyOf(lines)));
  }

  private static Long amount(Reader in) {
    String typed = in.draft.field("amount").replace('−', '-');
    if (typed.isEmpty()) {
      in.fault("amount", "How much, without tax that can be reclaimed?");
      return null;
    }
    BigDecimal read = in.amount("amount", typed, in.book.rules().coin().digits());
    if (read == null) return null;
    if (read.signum() == 0) in.fault("amount", "How much? Zero changes no cost.");
    return in.book.rules().coin().minor(read);
  }

  private static TaxRate rate(Reader in) {
    String typed = in.draft.field("tax");
    if (typed.isEmpty()) return null;
    Optional<TaxRate> rate = in.book.taxRate(typed);
    if (rate.isEmpty())
      in.fault("tax", "There is no tax rate \"" + typed + "\"; Set up lists them.");
    return rate.orElse(null);
  }

  /** The arrivals a row names: all of a bill, or those of one item. */
  private static List<Traded> arrivals(Reader in, int row, LocalDate date) {
    String bill = in.draft.cell(row, "bill");
    List<Traded> found =
        bill.isEmpty()
            ? List.of()
            : in.book.traded(bill).stream().filter(t -> !t.kind().sells()).toList();
    if (found.isEmpty()) {
      in.faults.add(
          Fault.at(
              row,
              "bill",
              bill.isEmpty()
                  ? "Which bill or receipt did the goods come with?"
                  : "No bill or receipt \"" + bill + "\" with goods is posted here."));
      return List.of();
    }
    if (date != null && date.isBefore(found.get(0).date()))
      in.faults.add(
          Fault.at(
              row,
              "bill",
              bill + " is of " + found.get(0).date() + "; a charge cannot come before its goods."));
    String item = in.draft.cell(row, "item");
    if (item.isEmpty()) return found;
    long wanted = in.book.item(item).map(i -> i.id()).orElse(0L);
    List<Traded> some = found.stream().filter(t -> t.item().id() == wanted).toList();
    if (some.isEmpty())
      in.faults.add(Fault.at(row, "item", "\"" + item + "\" did not come with " + bill + "."));
    return some;
  }

  private static Long share(Reader in, int row) {
    String cell = "rows." + row + ".share";
    String typed = in.draft.cell(row, "share").replace('−', '-');
    if (typed.isEmpty()) {
      in.fault(cell, "Shared by hand: how much of it bears this line?");
      return null;
    }
    BigDecimal read = in.amount(cell, typed, in.book.rules().coin().digits());
    return read == null ? null : in.book.rules().coin().minor(read);
  }

  private static long[] shares(Reader in, long amount, List<Traded> arrivals, List<Long> byHand) {
    if ("hand".equals(in.draft.field("spread"))) {
      long sum = byHand.stream().mapToLong(Long::longValue).reduce(0, Math::addExact);
      if (sum != amount)
        in.fault(
            "amount",
            "The shares come to " + in.say(sum) + ", not to the amount of " + in.say(amount) + ".");
      return byHand.stream().mapToLong(Long::longValue).toArray();
    }
    String spread = in.draft.field("spread");
    if (spread.equals("weight")
        && !in.weighed("spread", arrivals.stream().map(Traded::item).toList())) return null;
    long[] weights = arrivals.stream().mapToLong(a -> weight(a, spread)).toArray();
    if (java.util.Arrays.stream(weights).allMatch(w -> w == 0)) {
      in.fault("spread", "That gives none of them a share; share by quantity or by hand.");
      return null;
    }
    return Spread.over(amount, weights);
  }

  /** What an arrival counts for: its value, its quantity, or its weight in milligrams. */
  private static long weight(Traded arrival, String spread) {
    return switch (spread) {
      case "quantity" -> arrival.quantity();
      case "weight" -> arrival.item().milligrams(arrival.quantity());
      default -> Math.max(0, arrival.value());
    };
  }
}
