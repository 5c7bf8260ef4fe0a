package zinctally.core.statement;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import zinctally.core.ledger.Account;
import zinctally.core.number.Money;

/** Writes a statement line by line, and keeps which lines each sum adds. */
final class Lines {
  private final List<Column> columns;
  private final List<Line> lines = new ArrayList<>();

  Lines(List<Column> columns) {
    this.columns = columns;
  }

  /** What a column has of an account. */
  interface Amount {
    Money of(Account account, Column column);
  }

  void heading(int depth, String words) {
    lines.add(new Line(Line.Kind.HEADING, depth, words, 0, List.of(), List.of()));
  }

  /** Lines of accounts, those left out that have nothing in any column; says where they are. */
  List<Integer> accounts(int depth, List<Account> accounts, Amount amount) {
    List<Integer> written = new ArrayList<>();
    for (Account account : accounts) {
      List<Money> amounts = columns.stream().map(c -> amount.of(account, c)).toList();
      if (amounts.stream().allMatch(m -> m.signum() == 0)) continue;
      written.add(lines.size());
      lines.add(
          new Line(Line.Kind.ACCOUNT, depth, account.label(), account.id(), amounts, List.of()));
    }
    return written;
  }

  /** A line that is no account's; says where it is. */
  int line(Line.Kind kind, int depth, String words, Function<Column, Money> amount) {
    lines.add(new Line(kind, depth, words, 0, columns.stream().map(amount).toList(), List.of()));
    return lines.size() - 1;
  }

  /** The sum of other lines; says where it is. */
  int sum(Line.Kind kind, int depth, String words, List<Integer> adds) {
    List<Money> sums = new ArrayList<>();
    for (int c = 0; c < columns.size(); c++) {
      Money sum = Money.ZERO;
      for (int line : adds) sum = sum.plus(lines.get(line).amounts().get(c));
      sums.add(sum);
    }
    lines.add(new Line(kind, depth, words, 0, sums, adds));
    return lines.size() - 1;
  }

  int size() {
    return lines.size();
  }

  /** Takes back what was written since: a heading under which nothing came. */
  void back(int size) {
    while (lines.size() > size) lines.remove(lines.size() - 1);
  }

  Statement statement(String name) {
    return new Statement(name, columns, lines);
  }
}
