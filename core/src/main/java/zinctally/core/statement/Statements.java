package zinctally.core.statement;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import zinctally.core.ledger.Account;
import zinctally.core.number.Money;

/**
 * The three statements of one ledger. What was earned in past years is carried into equity by the
 * statements themselves, at every date; no entry empties accounts of income and expense.
 */
public final class Statements {
  /** What is called so was earned before the book's year began. */
  public static final String PAST = "Profit of past years";

  private static final String IN_ALL = ", in all";
  private final Layout layout;
  private final Balances balances;
  private final BookYear year;

  public Statements(Layout layout, Balances balances, BookYear year) {
    this.layout = layout;
    this.balances = balances;
    this.year = year;
  }

  /**
   * Profit and loss by function of expense, with a gross profit (IAS 1, paragraphs 81A and 103):
   * what is earned above zero, what is spent below, so that all of it adds up.
   */
  public Statement profitAndLoss(List<Column> columns) {
    Lines lines = new Lines(columns);
    List<Integer> down = new ArrayList<>();
    for (Section section : layout.under(Part.RESULT, 0)) {
      down.addAll(section(lines, 0, section, (a, c) -> Part.RESULT.shown(moved(a, c)), List.of()));
      if (!section.subtotal().isEmpty()) lines.sum(Line.Kind.RESULT, 0, section.subtotal(), down);
    }
    down.addAll(without(lines, Part.RESULT, (a, c) -> Part.RESULT.shown(moved(a, c))));
    lines.sum(Line.Kind.RESULT, 0, "Profit", down);
    return lines.statement("Profit and loss");
  }

  /** The position at the end of each column's last day (IAS 1, paragraphs 54 and 60). */
  public Statement balanceSheet(List<Column> columns) {
    Lines lines = new Lines(columns);
    side(lines, Part.ASSETS, List.of());
    side(lines, Part.CLAIMS, layout.equity());
    return lines.statement("Balance sheet");
  }

  private void side(Lines lines, Part part, List<Section> withProfit) {
    Lines.Amount amount = (a, c) -> part.shown(at(a, c));
    lines.heading(0, part.words());
    List<Integer> sums = new ArrayList<>();
    for (Section section : layout.under(part, 0))
      sums.addAll(section(lines, 1, section, amount, withProfit));
    sums.addAll(without(lines, part, amount));
    if (part == Part.CLAIMS && withProfit.isEmpty()) sums.addAll(profits(lines, 1));
    lines.sum(Line.Kind.RESULT, 0, part.words() + IN_ALL, sums);
  }

  /**
   * Where money came from and went, by the indirect method (IAS 7, paragraphs 18 and 20): profit,
   * then what changed on all other accounts, which is the change in cash.
   */
  public Statement cashFlow(List<Column> columns) {
    Lines lines = new Lines(columns);
    List<Integer> activities = new ArrayList<>();
    for (Activity activity : Activity.values()) {
      int before = lines.size();
      lines.heading(0, activity.words());
      List<Integer> under = new ArrayList<>();
      if (activity == Activity.OPERATING)
        under.add(
            lines.line(Line.Kind.PROFIT, 1, "Profit", c -> flow(layout.result(), c).negated()));
      under.addAll(lines.accounts(1, layout.standing(activity), (a, c) -> flow(a, c).negated()));
      if (under.isEmpty()) lines.back(before);
      else activities.add(lines.sum(Line.Kind.SUM, 0, activity.words() + IN_ALL, under));
    }
    int change = lines.sum(Line.Kind.RESULT, 0, "Change in cash", activities);
    int start = lines.line(Line.Kind.STANDING, 0, "Cash at the start", this::cashBefore);
    lines.sum(Line.Kind.RESULT, 0, "Cash at the end", List.of(change, start));
    return lines.statement("Cash flow");
  }

  private Money cashBefore(Column column) {
    Money before = Money.ZERO;
    for (Account a : layout.money()) before = before.plus(at(a, column)).minus(flow(a, column));
    return before;
  }

  private List<Integer> section(
      Lines lines, int depth, Section section, Lines.Amount amount, List<Section> withProfit) {
    int before = lines.size();
    lines.heading(depth, section.name());
    List<Integer> adds = new ArrayList<>();
    adds.addAll(lines.accounts(depth + 1, layout.of(section), amount));
    for (Section under : layout.under(section.part(), section.id()))
      adds.addAll(section(lines, depth + 1, under, amount, withProfit));
    if (withProfit.contains(section)) adds.addAll(profits(lines, depth + 1));
    if (adds.isEmpty()) {
      lines.back(before);
      return List.of();
    }
    return List.of(lines.sum(Line.Kind.SUM, depth, section.name() + IN_ALL, adds));
  }

  private List<Integer> without(Lines lines, Part part, Lines.Amount amount) {
    int before = lines.size();
    int depth = part == Part.RESULT ? 0 : 1;
    lines.heading(depth, Layout.NONE);
    List<Integer> adds = lines.accounts(depth + 1, layout.without(part), amount);
    if (adds.isEmpty()) {
      lines.back(before);
      return List.of();
    }
    return List.of(lines.sum(Line.Kind.SUM, depth, Layout.NONE + IN_ALL, adds));
  }

  private List<Integer> profits(Lines lines, int depth) {
    return List.of(
        lines.line(Line.Kind.PROFIT, depth, PAST, this::past),
        lines.line(Line.Kind.PROFIT, depth, "Profit of this year", c -> all(c).minus(past(c))));
  }

  private Money all(Column column) {
    return result(balances.at(column.to(), column.known()));
  }

  private Money past(Column column) {
    return result(balances.at(year.start(column.to()).minusDays(1), column.known()));
  }

  private Money result(Map<Long, Money> at) {
    return layout.result().stream()
        .map(a -> at.getOrDefault(a.id(), Money.ZERO).negated())
        .reduce(Money.ZERO, Money::plus);
  }

  private Money at(Account account, Column column) {
    return balances.at(column.to(), column.known()).getOrDefault(account.id(), Money.ZERO);
  }

  private Money moved(Account account, Column column) {
    if (column.borne().isPresent())
      return balances
          .borne(column.from(), column.to(), column.known(), column.borne().get().centres())
          .getOrDefault(account.id(), Money.ZERO);
    return at(account, column)
        .minus(
            balances.at(column.dayBefore(), column.known()).getOrDefault(account.id(), Money.ZERO));
  }

  /** What moved, without what was taken over from the books before. */
  private Money flow(Account account, Column column) {
    return moved(account, column)
        .minus(
            balances
                .takenOver(column.from(), column.to(), column.known())
                .getOrDefault(account.id(), Money.ZERO));
  }

  private Money flow(List<Account> accounts, Column column) {
    return accounts.stream().map(a -> flow(a, column)).reduce(Money.ZERO, Money::plus);
  }
}
