package zinctally.core.statement;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Month;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.AccountKind;
import zinctally.core.ledger.Centre;
import zinctally.core.ledger.CentreTree;
import zinctally.core.ledger.Role;
import zinctally.core.number.Money;

class StatementsTest {
  private static final BookYear CALENDAR = new BookYear(Month.JANUARY);
  private static final LocalDate DAY = LocalDate.of(2026, 9, 1);

  /** A ledger that is a list of lines. */
  private static final class LineLedger implements Balances {
    record Entry(long account, LocalDate date, long amount, boolean takenOver, long centre) {}

    private final List<Entry> entries = new ArrayList<>();

    void entry(LocalDate date, long debit, long credit, long amount) {
      entry(date, debit, credit, amount, 0);
    }

    void entry(LocalDate date, long debit, long credit, long amount, long centre) {
      entries.add(new Entry(debit, date, amount, false, centre));
      entries.add(new Entry(credit, date, -amount, false, centre));
    }

    void takenOver(LocalDate date, long debit, long credit, long amount) {
      entries.add(new Entry(debit, date, amount, true, 0));
      entries.add(new Entry(credit, date, -amount, true, 0));
    }

    @Override
    public Map<Long, Money> borne(
        LocalDate from, LocalDate to, Optional<LocalDateTime> known, Set<Long> centres) {
      Map<Long, Money> moved = new HashMap<>();
      for (Entry e : entries)
        if (!e.date.isBefore(from) && !e.date.isAfter(to) && centres.contains(e.centre))
          moved.merge(e.account, new Money(e.amount), Money::plus);
      return moved;
    }

    @Override
    public Map<Long, Money> at(LocalDate day, Optional<LocalDateTime> known) {
      Map<Long, Money> at = new HashMap<>();
      for (Entry e : entries)
        if (!e.date.isAfter(day)) at.merge(e.account, new Money(e.amount), Money::plus);
      return at;
    }

    @Override
    public Map<Long, Money> takenOver(LocalDate from, LocalDate to, Optional<LocalDateTime> known) {
      Map<Long, Money> at = new HashMap<>();
      for (Entry e : entries)
        if (e.takenOver && !e.date.isBefore(from) && !e.date.isAfter(to))
          at.merge(e.account, new Money(e.amount), Money::plus);
      return at;
    }
  }

  private static Account account(long id, AccountKind kind, Role role) {
    return new Account(id, String.valueOf(id), kind + " " + id, kind, role, true);
  }

  private static Section section(long id, Part part, long parent, String name, Activity activity) {
    return new Section(id, part, parent, name, activity, name.equals("Costs") ? "Earned" : "");
  }

  private static final Layout LAYOUT =
      new Layout(
          List.of(
              section(1, Part.ASSETS, 0, "Kept", Activity.INVESTING),
              section(2, Part.ASSETS, 0, "Turned over", Activity.OPERATING),
              section(3, Part.ASSETS, 2, "Money", Activity.OPERATING),
              section(4, Part.CLAIMS, 0, "Equity", Activity.FINANCING),
              section(5, Part.CLAIMS, 0, "Owed", Activity.OPERATING),
              section(6, Part.RESULT, 0, "Revenue", Activity.OPERATING),
              section(7, Part.RESULT, 0, "Costs", Activity.OPERATING)),
          List.of(
              account(10, AccountKind.ASSET, Role.MONEY),
              account(11, AccountKind.ASSET, Role.NONE),
              account(16, AccountKind.ASSET, Role.NONE),
              account(20, AccountKind.LIABILITY, Role.NONE),
              account(30, AccountKind.EQUITY, Role.NONE),
              account(31, AccountKind.EQUITY, Role.NONE),
              account(40, AccountKind.INCOME, Role.NONE),
              account(50, AccountKind.EXPENSE, Role.NONE),
              account(60, AccountKind.EXPENSE, Role.NONE)),
          Map.of(10L, 3L, 11L, 2L, 16L, 1L, 20L, 5L, 30L, 4L, 31L, 4L, 40L, 6L, 50L, 7L));

  private static List<Column> column(String from, String to) {
    return Beside.NOTHING.columns(LocalDate.parse(from), LocalDate.parse(to), CALENDAR);
  }

  /**
   * The ten transactions of a service firm's first month: Weygandt, Kimmel and Kieso, Accounting
   * Principles, chapter 1 (from memory): net income 2,750, capital 16,450, assets 18,050, cash from
   * operations 1,350, invested 7,000, financed 13,700, cash 8,050.
   */
  @Test
  void a_textbooks_first_month_comes_out_to_the_cent() {
    LineLedger ledger = new LineLedger();
    ledger.entry(DAY, 10, 30, 15_000_00);
    ledger.entry(DAY, 16, 10, 7_000_00);
    ledger.entry(DAY, 11, 20, 1_600_00);
    ledger.entry(DAY, 10, 40, 1_200_00);
    ledger.entry(DAY, 50, 20, 250_00);
    ledger.entry(DAY, 10, 40, 1_500_00);
    ledger.entry(DAY, 11, 40, 2_000_00);
    ledger.entry(DAY, 50, 10, 600_00 + 900_00 + 200_00);
    ledger.entry(DAY, 20, 10, 250_00);
    ledger.entry(DAY, 10, 11, 600_00);
    ledger.entry(DAY, 31, 10, 1_300_00);
    Statements statements = new Statements(LAYOUT, ledger, CALENDAR);
    List<Column> september = column("2026-09-01", "2026-09-30");
    Statement result = statements.profitAndLoss(september);
    assertThat(result.amount("Revenue, in all", 0)).isEqualTo(new Money(4_700_00));
    assertThat(result.amount("Costs, in all", 0)).isEqualTo(new Money(-1_950_00));
    assertThat(result.amount("Profit", 0)).isEqualTo(new Money(2_750_00));
    Statement position = statements.balanceSheet(september);
    assertThat(position.amount("Assets, in all", 0)).isEqualTo(new Money(18_050_00));
    assertThat(position.amount("Equity and liabilities, in all", 0))
        .isEqualTo(new Money(18_050_00));
    assertThat(position.amount("Equity, in all", 0)).isEqualTo(new Money(16_450_00));
    assertThat(position.amount("Owed, in all", 0)).isEqualTo(new Money(1_600_00));
    Statement cash = statements.cashFlow(september);
    assertThat(cash.amount("Operating activities, in all", 0)).isEqualTo(new Money(1_350_00));
    assertThat(cash.amount("Investing activities, in all", 0)).isEqualTo(new Money(-7_000_00));
    assertThat(cash.amount("Financing activities, in all", 0)).isEqualTo(new Money(13_700_00));
    assertThat(cash.amount("Cash at the end", 0)).isEqualTo(new Money(8_050_00));
  }

  /**
   * Multi-step result: Weygandt, chapter 5 (from memory): 460,000 less 316,000 is 144,000 gross.
   */
  @Test
  void a_heading_with_a_subtotal_says_what_it_comes_to_down_to_there() {
    LineLedger ledger = new LineLedger();
    ledger.entry(DAY, 10, 40, 460_000_00);
    ledger.entry(DAY, 50, 11, 316_000_00);
    ledger.entry(DAY, 60, 10, 114_000_00);
    Statement result =
        new Statements(LAYOUT, ledger, CALENDAR).profitAndLoss(column("2026-01-01", "2026-12-31"));
    assertThat(result.amount("Earned", 0)).isEqualTo(new Money(144_000_00));
    assertThat(result.amount("Profit", 0)).isEqualTo(new Money(30_000_00));
    assertThat(result.lines().stream().map(Line::words)).contains(Layout.NONE, "60 EXPENSE 60");
  }

  @Test
  void profit_of_past_years_is_carried_into_equity_without_an_entry() {
    LineLedger ledger = new LineLedger();
    ledger.entry(LocalDate.of(2025, 3, 31), 10, 40, 500_00);
    ledger.entry(LocalDate.of(2025, 4, 1), 10, 40, 70_00);
    BookYear april = new BookYear(Month.APRIL);
    Statement position =
        new Statements(LAYOUT, ledger, april)
            .balanceSheet(Beside.NOTHING.columns(DAY, LocalDate.of(2026, 3, 31), april));
    assertThat(position.amount("Profit of past years", 0)).isEqualTo(new Money(500_00));
    assertThat(position.amount("Profit of this year", 0)).isEqualTo(new Money(70_00));
  }

  @Test
  void what_was_taken_over_is_cash_at_the_start_and_no_flow() {
    LineLedger ledger = new LineLedger();
    ledger.takenOver(DAY, 10, 30, 900_00);
    ledger.takenOver(DAY, 11, 30, 100_00);
    ledger.entry(DAY, 16, 10, 300_00);
    Statement cash =
        new Statements(LAYOUT, ledger, CALENDAR).cashFlow(column("2026-09-01", "2026-09-30"));
    assertThat(cash.amount("Cash at the start", 0)).isEqualTo(new Money(900_00));
    assertThat(cash.amount("Change in cash", 0)).isEqualTo(new Money(-300_00));
    assertThat(cash.amount("Cash at the end", 0)).isEqualTo(new Money(600_00));
  }

  /** Whatever is booked: both sides of a position are one, and cash is explained whole. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
  void statements_of_random_ledgers_agree_with_each_other(long seed) {
    Random random = new Random(seed);
    LineLedger ledger = new LineLedger();
    List<Account> accounts = LAYOUT.accounts();
    for (int i = 0; i < 120; i++) {
      LocalDate date = LocalDate.of(2025, 1, 1).plusDays(random.nextInt(700));
      long debit = accounts.get(random.nextInt(accounts.size())).id();
      long credit = accounts.get(random.nextInt(accounts.size())).id();
      if (random.nextInt(10) == 0) ledger.takenOver(date, debit, credit, random.nextInt(9000));
      else ledger.entry(date, debit, credit, random.nextInt(90_000));
    }
    BookYear year = new BookYear(Month.of(1 + random.nextInt(12)));
    Statements statements = new Statements(LAYOUT, ledger, year);
    LocalDate to = LocalDate.of(2025, 6, 1).plusDays(random.nextInt(500));
    List<Column> columns =
        Beside.values()[random.nextInt(5)].columns(to.minusDays(random.nextInt(90)), to, year);
    Statement position = statements.balanceSheet(columns);
    Statement cash = statements.cashFlow(columns);
    for (int c = 0; c < columns.size(); c++) {
      assertThat(position.amount("Assets, in all", c))
          .as("seed %d", seed)
          .isEqualTo(position.amount("Equity and liabilities, in all", c));
      assertThat(cash.amount("Cash at the end", c))
          .as("seed %d", seed)
          .isEqualTo(
              ledger.at(columns.get(c).to(), Optional.empty()).getOrDefault(10L, Money.ZERO));
    }
    for (Statement statement : List.of(position, cash, statements.profitAndLoss(columns)))
      for (Line line : statement.lines())
        if (!line.adds().isEmpty())
          for (int c = 0; c < columns.size(); c++) {
            int column = c;
            assertThat(
                    line.adds().stream()
                        .map(l -> statement.lines().get(l).amounts().get(column))
                        .reduce(Money.ZERO, Money::plus))
                .isEqualTo(line.amounts().get(c));
          }
  }

  @Test
  void the_end_of_a_month_is_compared_with_the_end_of_the_other() {
    LocalDate from = LocalDate.of(2024, 2, 1);
    LocalDate to = LocalDate.of(2024, 2, 29);
    assertThat(Beside.LAST_YEAR.columns(from, to, CALENDAR).get(1).to())
        .isEqualTo(LocalDate.of(2023, 2, 28));
    assertThat(Beside.MONTH_BEFORE.columns(from, to, CALENDAR).get(1).to())
        .isEqualTo(LocalDate.of(2024, 1, 31));
    assertThat(Beside.MONTHS.columns(from, to, CALENDAR))
        .extracting(Column::words)
        .containsExactly("2024-01", "2024-02", "Year to 2024-02-29");
    assertThat(CALENDAR.end(to)).isEqualTo(LocalDate.of(2024, 12, 31));
  }

  @Test
  void a_difference_has_a_share_unless_it_is_of_nothing() {
    Line line =
        new Line(Line.Kind.SUM, 0, "", 0, List.of(new Money(150), new Money(-100)), List.of());
    assertThat(line.difference()).contains(new Money(250));
    assertThat(line.percent().orElseThrow()).isEqualByComparingTo("250.0");
    assertThat(
            new Line(Line.Kind.SUM, 0, "", 0, List.of(new Money(1), Money.ZERO), List.of())
                .percent())
        .isEmpty();
  }

  @Test
  void what_is_earned_stands_in_no_position() {
    assertThat(Part.ASSETS.takes(AccountKind.LIABILITY)).isTrue();
    assertThat(Part.ASSETS.takes(AccountKind.INCOME)).isFalse();
    assertThat(Part.RESULT.takes(AccountKind.EXPENSE)).isTrue();
    assertThat(Part.RESULT.takes(AccountKind.EQUITY)).isFalse();
  }

  private static final CentreTree CENTRES =
      new CentreTree(
          List.of(
              new CentreTree.Node(new Centre(1, "Shops"), 0, true),
              new CentreTree.Node(new Centre(2, "Wickmere"), 1, true),
              new CentreTree.Node(new Centre(3, "Holt"), 1, true),
              new CentreTree.Node(new Centre(4, "Workshop"), 0, true)));

  /** Shops earn 900 (Wickmere 500, Holt 300, both together 100), the workshop 200, nobody 50. */
  private static List<String> profits(Optional<Borne> whole) {
    LineLedger ledger = new LineLedger();
    ledger.entry(DAY, 10, 40, 500_00, 2);
    ledger.entry(DAY, 10, 40, 300_00, 3);
    ledger.entry(DAY, 10, 40, 100_00, 1);
    ledger.entry(DAY, 10, 40, 260_00, 4);
    ledger.entry(DAY, 50, 10, 60_00, 4);
    ledger.entry(DAY, 10, 40, 50_00);
    ledger.entry(DAY.minusDays(1), 10, 40, 7_00, 2);
    Statement statement =
        new Statements(LAYOUT, ledger, CALENDAR)
            .profitAndLoss(Beside.centres(DAY, DAY.plusDays(5), whole, CENTRES));
    Line profit = statement.lines().get(statement.lines().size() - 1);
    List<String> said = new ArrayList<>();
    for (int c = 0; c < profit.amounts().size(); c++)
      said.add(statement.columns().get(c).words() + " " + profit.amounts().get(c).minor() / 100);
    return said;
  }

  @Test
  void profit_is_divided_by_cost_centres_and_those_under_one() {
    assertThat(profits(Optional.empty()))
        .containsExactly("Shops 900", "Workshop 200", "No cost centre 50", "In all 1150");
    assertThat(profits(Borne.of("1", CENTRES)))
        .containsExactly("Wickmere 500", "Holt 300", "Shops itself 100", "Shops 900");
    assertThat(profits(Borne.of("4", CENTRES))).containsExactly("Workshop 200");
    assertThat(profits(Borne.of("1.", CENTRES))).containsExactly("Shops itself 100");
    assertThat(profits(Borne.of("0", CENTRES))).containsExactly("No cost centre 50");
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "9", "x", "-1", "1..", "99999999999999999999"})
  void what_stands_for_no_cost_centre_asks_for_all(String key) {
    assertThat(Borne.of(key, CENTRES)).isEmpty();
  }
}
