package zinctally.core.papers;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.BARN;
import static zinctally.core.papers.SmallBook.FENWICK;
import static zinctally.core.papers.SmallBook.FRAME;
import static zinctally.core.papers.SmallBook.HIVE;
import static zinctally.core.papers.SmallBook.HONEY;
import static zinctally.core.papers.SmallBook.ORRIN;
import static zinctally.core.papers.SmallBook.STANDARD;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import zinctally.core.cost.Spot;
import zinctally.core.goods.Item;
import zinctally.core.goods.Lot;
import zinctally.core.ledger.JournalLine;
import zinctally.core.number.Quantity;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Traded;
import zinctally.core.papers.plan.Plan;

/**
 * What every kind of paper says to the same lines, and what it does when they are right, is what
 * {@code every-kind.txt} says. {@code -Dzinc.kinds=write} writes that anew; read what changed.
 */
class EveryKindTest {
  private static final Path SAID = Path.of("src/test/resources/every-kind.txt");
  private static final LocalDate DAY = LocalDate.of(2026, 11, 10);

  /** Stands in a line for the number of an earlier paper of the same side. */
  private static final String OF = "?";

  /** A line by what is typed wrong, or special, in it. */
  private static final Map<String, String[]> LINES = new LinkedHashMap<>();

  private static void line(String what, String... cells) {
    LINES.put(what, cells);
  }

  static {
    line("nothing");
    line("hives", "item", "HIVE", "quantity", "2", "price", "10", "tax", "S", "memo", "blue");
    line("a box", "item", "FRAME", "quantity", "1 box", "price", "60", "discount", "10");
    line("a lot", "item", "HONEY", "quantity", "3", "numbers", "L-1: 1, L-2: 2", "price", "4");
    line("no numbers", "item", "EX", "quantity", "1", "price", "9");
    line("below zero", "item", "HIVE", "quantity", "-1", "price", "-2", "unit_cost", "-1");
    line(
        "half of one",
        "item",
        "HIVE",
        "quantity",
        "0.5",
        "price",
        "x",
        "tax",
        "Z",
        "unit_cost",
        "y");
    line("advice", "item", "ADVICE", "quantity", "1", "price", "30");
    line("a stranger", "item", "ZZZ", "quantity", "1", "price", "1");
    line("no item", "quantity", "1", "price", "1", "place", "Moon");
    line(
        "an account",
        "item",
        "7000 rent",
        "amount",
        "5",
        "price",
        "5",
        "account",
        "7000",
        "debit",
        "5");
    line(
        "stock by hand",
        "item",
        "1400",
        "amount",
        "5",
        "price",
        "5",
        "account",
        "1400",
        "credit",
        "5");
    line(
        "too much",
        "item",
        "HIVE",
        "quantity",
        "9000000000",
        "price",
        "9000000000",
        "unit_cost",
        "9000000000");
    line(
        "goes on",
        "item",
        "HIVE",
        "quantity",
        "2",
        "price",
        "11",
        "of",
        OF,
        "paper",
        OF,
        "bill",
        OF,
        "tax",
        "S");
    line("goes on with more", "item", "HIVE", "quantity", "99", "of", OF, "paper", OF, "bill", OF);
  }

  /** Whatever a kind may ask for in its head; each takes what is its own. */
  private static Written head(PaperKind kind) {
    Written written = Written.of(kind);
    Map.of(
            "into", "Market van",
            "customer", FENWICK.name(),
            "amount", "24",
            "what", "Carriage",
            "quantity", "1",
            "transfer", "SO-1",
            "repair", "SO-1")
        .forEach(written::with);
    Map.of(
            "item",
            "FRAME",
            "money",
            "1200",
            "account",
            "7000",
            "reason",
            "Broken",
            "expected",
            "+7")
        .forEach(written::with);
    return written.with("from", "2026-07-01").with("to", "2026-09-30");
  }

  private static SmallBook book() {
    SmallBook book = new SmallBook();
    for (Item item : List.of(HIVE, FRAME, HONEY))
      book.costs.put(item.id(), new Catalogue.LatestCost(700, Quantity.ONE));
    book.worths.put(HIVE.id(), new Catalogue.Worth(10 * Quantity.ONE, 9000, 0));
    for (long lot = 1; lot <= 2; lot++)
      book.kept.add(
          new Catalogue.Kept(
              new Lot(lot, HONEY.id(), "L-" + lot, null),
              Map.of(BARN.id(), 5 * Quantity.ONE),
              900 + lot,
              DAY,
              "at Barn store"));
    long id = 30;
    for (Awaits what : Awaits.values())
      for (Party who : List.of(ORRIN, FENWICK)) book.awaited.add(awaited(id++, what, who.id()));
    for (PaperKind kind : List.of(PaperKind.BILL, PaperKind.INVOICE))
      book.traded.add(
          new Traded(
              500,
              kind,
              40,
              number(kind == PaperKind.BILL),
              DAY,
              0,
              kind == PaperKind.BILL ? 1 : 2,
              HIVE,
              10 * Quantity.ONE,
              0,
              5000,
              6000,
              STANDARD,
              0,
              Map.of(),
              "",
              null));
    return book;
  }

  private static String number(boolean bought) {
    return bought ? "PO-1" : "SO-1";
  }

  private static Awaited awaited(long id, Awaits what, long party) {
    long ten = 10 * Quantity.ONE;
    return new Awaited(
        id,
        what,
        PaperKind.INVOICE,
        40,
        number(party == ORRIN.id()),
        DAY,
        party,
        0,
        HIVE,
        ten,
        9000,
        ten,
        9000,
        9000,
        new BigDecimal("9"),
        STANDARD,
        Awaited.Order.NONE,
        List.of(new Awaited.Arrival(905, DAY, ten)));
  }

  private static List<String> of(PaperKind kind, String what, String[] cells) {
    SmallBook book = book();
    Written written = head(kind);
    boolean buys = kind.side().filter(s -> s == Party.Kind.SUPPLIER).isPresent();
    if (cells.length > 0)
      written.line(
          Stream.of(cells).map(c -> c.equals(OF) ? number(buys) : c).toArray(String[]::new));
    String begin = kind + " | " + what + " | ";
    List<String> says = new ArrayList<>();
    Reading reading = book.read(written);
    new TreeMap<>(reading.rows())
        .forEach((row, facts) -> says.add(begin + "beside: " + facts(facts)));
    reading.notes().forEach(n -> says.add(begin + "notes " + n.cell() + ": " + n.says()));
    reading.faults().forEach(f -> says.add(begin + f.cell() + ": " + f.says()));
    if (reading.paper().isEmpty()) return says;
    Paper paper = reading.paper().get();
    paper.rows().forEach(r -> says.add(begin + "row: " + row(r)));
    paper
        .carried()
        .forEach(c -> says.add(begin + "carries: " + c.item().code() + " " + c.quantity()));
    paper.sums().forEach(s -> says.add(begin + "sum: " + s.words() + " " + s.amount()));
    says.add(
        begin
            + "party: "
            + paper.party().map(Party::name).orElse("nobody")
            + ", total "
            + paper.total());
    Plan plan = paper.plan(book);
    plan.events().forEach(e -> says.add(begin + "costs " + event(e)));
    plan.moves().forEach(m -> says.add(begin + "moves " + move(m)));
    plan.lines().forEach(l -> says.add(begin + "books " + line(l)));
    plan.awaits().forEach(w -> says.add(begin + "awaits " + wait(w)));
    plan.fills().forEach(f -> says.add(begin + "fills " + fill(f)));
    plan.dues().forEach(d -> says.add(begin + "owes " + due(d)));
    return says;
  }

  private static String words(Object... words) {
    return Stream.of(words).map(w -> String.valueOf(w)).collect(Collectors.joining(" "));
  }

  private static String at(Spot spot) {
    return "at " + spot.line() + "/" + spot.part();
  }

  private static String event(Plan.Event e) {
    Object target =
        e.target() instanceof Plan.Earlier earlier ? earlier.event() : e.target().getClass();
    return words(
        at(e.spot()),
        e.kind(),
        e.quantity(),
        "of",
        e.item(),
        e.value().minor(),
        "on",
        e.contra(),
        "to",
        target,
        e.on(),
        e.lot() == null ? "" : e.lot().code());
  }

  private static String move(Plan.Move m) {
    return words(
        at(m.spot()),
        m.quantity(),
        "of",
        m.item(),
        "at",
        m.place(),
        m.lot() == null ? "" : m.lot().code());
  }

  private static String line(JournalLine l) {
    return words(l.account(), l.amount().minor(), l.item(), l.party(), l.memo(), l.row());
  }

  private static String wait(Plan.Wait w) {
    return words(
        w.line(),
        w.what(),
        w.quantity(),
        "of",
        w.item(),
        w.party(),
        w.value().map(v -> v.minor()).orElse(null),
        w.orderPaper(),
        w.orderLine());
  }

  private static String fill(Plan.Fill f) {
    return words(f.line(), f.awaited(), f.quantity(), f.value().minor(), f.on());
  }

  private static String due(Plan.Due d) {
    return words(d.party(), d.number(), d.date(), d.due(), d.amount().minor());
  }

  private static String facts(Reading.RowFacts f) {
    return f.item()
        + " "
        + f.account()
        + " "
        + f.name()
        + ", "
        + f.unit()
        + ", "
        + f.amount()
        + " "
        + new TreeMap<>(f.beside());
  }

  private static String row(Row r) {
    return r.line()
        + " "
        + (r.item() == null ? "" : r.item().code())
        + " "
        + r.quantity()
        + " "
        + r.unit()
        + " "
        + r.wording()
        + " "
        + r.net()
        + " "
        + r.tax()
        + " "
        + r.account()
        + " "
        + (r.place() == null ? "" : r.place().name());
  }

  @Test
  void every_kind_says_and_does_what_is_written_down() throws IOException {
    List<String> says = new ArrayList<>();
    for (PaperKind kind : PaperKind.values())
      if (kind != PaperKind.OPENING_STOCK)
        LINES.forEach((what, cells) -> says.addAll(of(kind, what, cells)));
    if (System.getProperty("zinc.kinds", "").equals("write")) Files.write(SAID, says);
    assertThat(says).isEqualTo(Files.readAllLines(SAID));
  }
}
