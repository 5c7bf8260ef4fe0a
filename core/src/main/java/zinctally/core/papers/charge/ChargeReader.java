package zinctally.core.papers.charge;

import static zinctally.core.papers.read.Reader.known;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import zinctally.core.number.Spread;
import zinctally.core.papers.Party;
import zinctally.core.papers.Reading;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.Trait;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;
import zinctally.core.papers.read.Weights;

/** Reads charges on goods: which arrivals bear them, and how they are shared. */
public final class ChargeReader {
  private ChargeReader() {}

  public static Reading charge(Reader in) {
    LocalDate date = in.date();
    Party who = in.party();
    LocalDate due = in.due(date, who);
    String number = in.text("their_number");
    String what = in.text("what");
    Long amount = amount(in);
    TaxRate rate = in.rate("tax", in.draft.field("tax"));
    List<Charge.Bearer> arrivals = new ArrayList<>();
    Map<Integer, Long> byHand = new HashMap<>();
    List<Integer> rows = new ArrayList<>();
    Set<Long> seen = new HashSet<>();
    for (RowReader row : in.rows()) {
      if ("hand".equals(in.draft.field("spread"))) byHand.put(row.index(), share(in, row));
      for (Charge.Bearer arrival : bearers(in, row, date)) {
        if (!seen.add(arrival.key())) {
          row.fault(
              "bill",
              arrival.item().name() + " of " + arrival.number() + " is on a line above already.");
          continue;
        }
        arrivals.add(arrival);
        rows.add(row.index());
      }
    }
    if (arrivals.isEmpty() && in.sound())
      in.fault("rows.0.bill", "Which goods bear it? Name the bill or receipt they came with.");
    long[] shares =
        amount == null || !in.sound() ? null : shares(in, amount, arrivals, rows, byHand);
    if (amount == null || shares == null || !in.sound()) return in.wrong();
    List<Charge.Line> lines = new ArrayList<>();
    for (int i = 0; i < shares.length; i++) {
      Charge.Bearer arrival = arrivals.get(i);
      lines.add(new Charge.Line(i, arrival, shares[i]));
      Reading.RowFacts before = in.facts.get(rows.get(i));
      long sum = shares[i] + (before == null ? 0 : before.amount());
      String name =
          before == null || before.item() == arrival.item().id()
              ? arrival.item().name()
              : "several lines";
      in.facts.put(
          rows.get(i),
          new Reading.RowFacts(
              name.equals(arrival.item().name()) ? arrival.item().id() : 0, name, "", sum));
    }
    long tax = rate == null ? 0 : rate.onNet(amount);
    return in.done(
        () ->
            new Charge(
                known(date),
                known(due),
                known(who),
                number,
                what,
                amount,
                tax,
                rate,
                List.copyOf(lines)));
  }

  private static @Nullable Long amount(Reader in) {
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

  /** What a row names: all goods of a bill, come or to come, or those of one item. */
  private static List<Charge.Bearer> bearers(Reader in, RowReader row, @Nullable LocalDate date) {
    String bill = row.cell("bill");
    List<Charge.Bearer> found = new ArrayList<>();
    if (!bill.isEmpty()) {
      in.book.traded(bill).stream()
          .filter(t -> !t.kind().is(Trait.SELLS))
          .forEach(t -> found.add(new Charge.Bearer(t, null)));
      in.book.awaited(bill).stream()
          .filter(a -> a.what() == Awaits.BILLED_GOODS && a.number().equalsIgnoreCase(bill))
          .filter(a -> a.openQuantity() > 0)
          .forEach(a -> found.add(new Charge.Bearer(null, a)));
    }
    if (found.isEmpty()) {
      row.fault(
          "bill",
          bill.isEmpty()
              ? "Which bill or receipt did the goods come with?"
              : "No bill or receipt \"" + bill + "\" with goods is posted here.");
      return List.of();
    }
    Charge.Bearer first = found.get(0);
    LocalDate since = first.date();
    if (date != null && date.isBefore(since))
      row.fault("bill", bill + " is of " + since + "; a charge cannot come before its goods.");
    String item = row.cell("item");
    if (item.isEmpty()) return found;
    long wanted = in.book.item(item).map(i -> i.id()).orElse(0L);
    List<Charge.Bearer> some = found.stream().filter(t -> t.item().id() == wanted).toList();
    if (some.isEmpty()) row.fault("item", "\"" + item + "\" did not come with " + bill + ".");
    return some;
  }

  private static @Nullable Long share(Reader in, RowReader row) {
    String cell = row.at("share");
    String typed = row.cell("share").replace('−', '-');
    if (typed.isEmpty()) {
      in.fault(cell, "Shared by hand: how much of it bears this line?");
      return null;
    }
    BigDecimal read = in.amount(cell, typed, in.book.rules().coin().digits());
    return read == null ? null : in.book.rules().coin().minor(read);
  }

  private static long @Nullable [] shares(
      Reader in,
      long amount,
      List<Charge.Bearer> arrivals,
      List<Integer> rows,
      Map<Integer, Long> byHand) {
    if ("hand".equals(in.draft.field("spread"))) {
      long sum = byHand.values().stream().mapToLong(Long::longValue).reduce(0, Math::addExact);
      if (sum != amount)
        in.fault(
            "amount",
            "The shares come to " + in.say(sum) + ", not to the amount of " + in.say(amount) + ".");
      return sharesByHand(arrivals, rows, byHand);
    }
    String spread = in.draft.field("spread");
    if (spread.equals("weight")
        && !Weights.known(in, "spread", arrivals.stream().map(Charge.Bearer::item).toList()))
      return null;
    long[] weights = arrivals.stream().mapToLong(a -> weight(a, spread)).toArray();
    if (Arrays.stream(weights).allMatch(w -> w == 0)) {
      in.fault("spread", "That gives none of them a share; share by quantity or by hand.");
      return null;
    }
    return Spread.over(amount, weights);
  }

  /** What was written on a row is shared by quantity among all that stands on it. */
  private static long[] sharesByHand(
      List<Charge.Bearer> arrivals, List<Integer> rows, Map<Integer, Long> byHand) {
    long[] shares = new long[arrivals.size()];
    byHand.forEach(
        (row, share) -> {
          int[] here =
              IntStream.range(0, shares.length).filter(i -> rows.get(i).equals(row)).toArray();
          if (here.length == 0) return;
          long[] weights = Arrays.stream(here).mapToLong(i -> arrivals.get(i).quantity()).toArray();
          long[] parts = Spread.over(share, weights);
          for (int i = 0; i < here.length; i++) shares[here[i]] = parts[i];
        });
    return shares;
  }

  /** What goods count for: their value, their quantity, or their weight in milligrams. */
  private static long weight(Charge.Bearer arrival, String spread) {
    return switch (spread) {
      case "quantity" -> arrival.quantity();
      case "weight" -> arrival.item().milligrams(arrival.quantity());
      default -> Math.max(0, arrival.value());
    };
  }
}
