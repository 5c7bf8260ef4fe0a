package zinctally.core.papers.read;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import zinctally.core.ledger.Centre;
import zinctally.core.number.Figures;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Paper;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.Standing;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.Trait;
import zinctally.core.papers.trade.CounterSale;
import zinctally.core.papers.trade.Trade;

/** Reads single fields and cells of one draft, and gathers what is wrong. */
public final class Reader extends Findings {
  private static final int LONGEST_TEXT = 500;
  public final Draft draft;
  public final Catalogue book;
  public final Map<Integer, Reading.RowFacts> facts = new TreeMap<>();
  public Reading.@Nullable Sums toPay;

  /** What would be sold, when only how it is paid is not right yet; else null. */
  public @Nullable Trade unpaid;

  /** What leaves with the rows read so far, by item and place. */
  final Map<List<Long>, Long> leaves = new HashMap<>();

  public Reader(Draft draft, Catalogue book) {
    super(draft);
    this.draft = draft;
    this.book = book;
  }

  /** What was read, once nothing is wrong: null is "wrong, and said so". */
  public static <T> T known(@Nullable T read) {
    return Objects.requireNonNull(read);
  }

  /** What is said of a draft that is no paper, as something is wrong in it. */
  public Reading wrong() {
    return done(
        () -> {
          throw new IllegalStateException("what is wrong has not been said");
        });
  }

  /** The paper, unless something is wrong; it is made only when nothing is. */
  public Reading done(Supplier<Paper> paper) {
    Map<Integer, Centre> centres = new Centres(this).read();
    Optional<Paper> read = Optional.empty();
    if (sound()) {
      try {
        read = Optional.of(paper.get());
        read.get().total();
      } catch (ArithmeticException tooLarge) {
        read = Optional.empty();
        tooLarge();
      }
    }
    return new Reading(
        read,
        List.copyOf(faults()),
        List.copyOf(notes()),
        facts,
        toPay,
        Optional.ofNullable(unpaid),
        centres);
  }

  /** The rows in which something is typed, one after the other. */
  public Iterable<RowReader> rows() {
    return IntStream.range(0, draft.rows().size())
            .filter(row -> !draft.blank(row))
            .mapToObj(row -> new RowReader(this, row))
        ::iterator;
  }

  /** A row of the line table, from zero. */
  public RowReader row(int index) {
    return new RowReader(this, index);
  }

  /** The paper's own fields, read as those of one more line, which stands before the others. */
  public RowReader head() {
    return new RowReader(this, RowReader.HEAD);
  }

  /** What is said of figures that no long holds. */
  public void tooLarge() {
    fault(Fault.whole("The amounts are too large to add up."));
  }

  /** The rate of tax with a code; null for none. */
  public @Nullable TaxRate rate(String cell, String code) {
    if (code.isEmpty()) return null;
    Optional<TaxRate> rate = book.taxRate(code);
    if (rate.isEmpty()) fault(cell, "There is no tax rate \"" + code + "\"; Set up lists them.");
    return rate.orElse(null);
  }

  /** The day on which a paper is due: typed, else by the party's terms; null when it is wrong. */
  public @Nullable LocalDate due(@Nullable LocalDate date, @Nullable Party who) {
    if (date == null) return null;
    LocalDate due = day("due", date.plusDays(who == null ? 0 : who.termsDays()));
    if (due != null && due.isBefore(date))
      fault("due", "Due on " + due + ", which is before the paper's date " + date + ".");
    return due;
  }

  public String text(String field) {
    String typed = draft.field(field);
    if (typed.length() > LONGEST_TEXT)
      fault(field, "This is " + typed.length() + " letters long; " + LONGEST_TEXT + " fit.");
    return typed;
  }

  /** The paper's date: open, not before the cut-over, not absurdly far off. */
  public @Nullable LocalDate date() {
    LocalDate date = day("date", null);
    if (date == null) return null;
    Catalogue.Rules rules = book.rules();
    if (date.isBefore(rules.cutOver()))
      fault(
          "date",
          date + " is before the cut-over date " + rules.cutOver() + "; the books start there.");
    else if (date.isBefore(rules.firstOpenDay()))
      fault(
          "date",
          date + " is in a closed period; the first open day is " + rules.firstOpenDay() + ".");
    else if (date.isAfter(rules.today().plusYears(1)))
      fault("date", date + " is more than a year ahead; is the year right?");
    else if (date.isAfter(rules.today())) note("date", date + " is in the future.");
    return date;
  }

  public @Nullable LocalDate day(String field, @Nullable LocalDate ifEmpty) {
    return day(field, draft.field(field), ifEmpty);
  }

  public @Nullable LocalDate day(String cell, String typed, @Nullable LocalDate ifEmpty) {
    if (typed.isEmpty() && ifEmpty != null) return ifEmpty;
    LocalDate today = book.rules().today();
    LocalDate from =
        cell.equals("date") ? today : Days.read(draft.field("date"), today, today).orElse(today);
    Optional<LocalDate> day = Days.read(typed, today, from);
    if (day.isEmpty())
      fault(
          cell,
          (typed.isEmpty() ? "A date is wanted" : "\"" + typed + "\" is not a date")
              + "; write it as 2026-03-09, 9.3.2026, today or +30.");
    return day.orElse(null);
  }

  /** Whom the paper is from or for. */
  public @Nullable Party party() {
    Party.Kind side = draft.kind().side().orElseThrow();
    return party(side.field(), draft.party(), side);
  }

  public @Nullable Party party(String cell, String name, Party.Kind kind) {
    String who = kind.field();
    if (name.isEmpty() && draft.kind().is(Trait.COUNTER))
      return book.party(kind, CounterSale.NOBODY)
          .orElse(new Party(0, kind, CounterSale.NOBODY, 0, true));
    if (name.isEmpty()) {
      fault(cell, "Which " + who + "? A name is enough.");
      return null;
    }
    if (name.length() > 120) {
      fault(cell, "A name may be 120 letters long.");
      return null;
    }
    Optional<Party> known = book.party(kind, name);
    if (known.isPresent() && !known.get().active()) {
      fault(cell, name + " is switched off; switch it on again on its card or take another.");
      return null;
    }
    return known.orElseGet(
        () -> {
          note(cell, name + " is new and will be made a " + who + ".");
          return new Party(0, kind, name, 30, true);
        });
  }

  /** The place with a name; null when there is none, or this paper cannot speak of its goods. */
  public @Nullable Place place(String cell, String typed) {
    return new Places(this).named(cell, typed);
  }

  /** The standing with a name; says so when there is none, and is null then. */
  public @Nullable Standing standing(String cell, String typed) {
    Optional<Standing> standing = book.standing(typed);
    if (standing.isEmpty())
      fault(cell, "There is no standing \"" + typed + "\"; Set up, Standings lists them.");
    return standing.orElse(null);
  }

  /** A money amount with at most {@code places} digits after the point; null when it is wrong. */
  public @Nullable BigDecimal amount(String cell, String typed, int places) {
    Optional<BigDecimal> read = Figures.read(typed);
    if (read.isEmpty()) {
      fault(
          cell,
          "\""
              + typed
              + "\" is not a number; write it like 1234"
              + Figures.form().decimal()
              + "50.");
      return null;
    }
    if (read.get().stripTrailingZeros().scale() > places) {
      fault(cell, typed + " has more than " + places + " digits after the point.");
      return null;
    }
    if (read.get().precision() - read.get().scale() > 12) {
      fault(cell, typed + " is larger than any amount this book can hold.");
      return null;
    }
    askFigure(cell, typed);
    return read.get();
  }

  /** Asks about a figure that would be another number to people who write theirs otherwise. */
  void askFigure(String cell, String typed) {
    if (!Figures.doubtful(typed)) return;
    char group = Figures.form().group();
    ask(
        cell,
        "\""
            + typed
            + "\" is taken as thousands, "
            + typed.replace(String.valueOf(group), "")
            + ". If a fraction is meant, write it with \""
            + Figures.form().decimal()
            + "\".");
  }

  /** An amount in minor units, zero or more; null when it is wrong. */
  public @Nullable Long money(String cell, String typed) {
    BigDecimal read = amount(cell, typed, book.rules().coin().digits());
    if (read == null) return null;
    if (read.signum() < 0) {
      fault(cell, typed + " is below zero; the amount is written without a sign.");
      return null;
    }
    return book.rules().coin().minor(read);
  }

  public String say(long minor) {
    return book.rules().coin().say(minor);
  }

  /** Net and tax of the lines, with what comes off the whole taken off. */
  public LineAmounts amounts(List<LineAmounts.Line> lines) {
    boolean included = "included".equals(draft.field("prices"));
    long sum = lines.stream().mapToLong(LineAmounts.Line::amount).reduce(0, Math::addExact);
    return LineAmounts.of(lines, OffTheWhole.read(this, sum), included, book.rules().taxOnSums());
  }
}
