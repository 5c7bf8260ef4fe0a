package zinctally.store.paper;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Trait;

/** A posted paper, as it is shown. Amounts are minor units, quantities millionths. */
public record PostedPaper(
    long id,
    PaperKind kind,
    String number,
    LocalDate date,
    LocalDate due,
    long party,
    String partyName,
    String reference,
    String place,
    long net,
    long tax,
    long total,
    LocalDateTime postedAt,
    String postedBy,
    int version,
    boolean isVoid,
    List<Line> lines,
    List<Entry> entries,
    List<Due> dues) {
  /**
   * @param moved signed millionths it moved in stock
   * @param of the earlier paper it goes on from; zero for none
   * @param place where its goods came to or went from, when that is not the paper's place; else
   *     null
   * @param numbers its lots or serial numbers; null for none
   * @param centre the cost centre that bears it; null for none
   * @param cost signed minor units of its cost entries up to now
   */
  public record Line(
      int line,
      long item,
      String code,
      String name,
      String wording,
      String quantity,
      Measure measure,
      String unit,
      BigDecimal price,
      BigDecimal discount,
      long net,
      long tax,
      String taxCode,
      BigDecimal taxPercent,
      Long cost,
      long of,
      String ofNumber,
      String returnReason,
      String place,
      String numbers,
      String centre) {}

  /** Whether goods of a line came to the place it names; else they went from there. */
  public boolean comesTo(Line line) {
    if (kind.is(Trait.ACROSS)) return true;
    return kind.side().isEmpty()
        ? line.measure().micros() > 0
        : kind.isWith(Party.Kind.CUSTOMER) && kind.is(Trait.VALUED);
  }

  /**
   * What a rate of tax bears on.
   *
   * @param net minor units without tax
   * @param tax minor units
   */
  public record Taxed(BigDecimal percent, long net, long tax) {}

  /** Its tax by rate, lowest first; empty where no line bears any. */
  public List<Taxed> taxes() {
    Map<BigDecimal, Taxed> sums = new TreeMap<>();
    for (Line line : lines)
      if (line.taxPercent != null)
        sums.merge(
            line.taxPercent.stripTrailingZeros(),
            new Taxed(line.taxPercent.stripTrailingZeros(), line.net, line.tax),
            (a, b) ->
                new Taxed(a.percent, Math.addExact(a.net, b.net), Math.addExact(a.tax, b.tax)));
    return List.copyOf(sums.values());
  }

  /**
   * A quantity as other programs read it.
   *
   * @param micros millionths of the base unit
   * @param rec20 the base unit's code in UN/ECE Recommendation 20
   */
  public record Measure(long micros, String rec20) {}

  public record Entry(
      long journal, LocalDate date, int version, boolean reverses, List<Booking> lines) {
    private static final int MOST = 200;

    /** Whether it is too long to be shown line by line. */
    public boolean isLong() {
      return lines.size() > MOST;
    }

    /** Its lines; when those are too many, the sums of debits and of credits by account. */
    public List<Booking> shown() {
      if (!isLong()) return lines;
      return lines.stream()
          .collect(
              Collectors.groupingBy(
                  b -> List.of(b.account, b.amount > 0),
                  LinkedHashMap::new,
                  Collectors.reducing((a, b) -> a.and(b.amount))))
          .values()
          .stream()
          .flatMap(Optional::stream)
          .toList();
    }
  }

  public record Booking(
      long account, String accountLabel, String item, String party, long amount, String memo) {
    private Booking and(long more) {
      return new Booking(account, accountLabel, "", "", Math.addExact(amount, more), "");
    }
  }

  public record Due(String number, LocalDate due, long amount, long open) {}

  /** How a counter sale is paid at once: bookings whose memo says with what. */
  public List<Booking> payments() {
    if (!kind.is(Trait.COUNTER)) return List.of();
    return entries.stream()
        .filter(e -> !e.reverses() && e.version() == version)
        .flatMap(e -> e.lines().stream())
        .filter(b -> b.memo().matches("cash|card|voucher|credit .*"))
        .toList();
  }

  /** What it has cost so far, minor units; zero when nothing went out. */
  public long cost() {
    return -lines.stream()
        .filter(l -> l.cost() != null && l.cost() < 0)
        .mapToLong(Line::cost)
        .sum();
  }
}
