package zinctally.core.papers.mend;

import static zinctally.core.papers.read.Reader.known;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.ledger.Account;
import zinctally.core.papers.Place;
import zinctally.core.papers.Reading;
import zinctally.core.papers.Standing;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.StillAway;
import zinctally.core.papers.move.Moved;
import zinctally.core.papers.move.MovedReader;
import zinctally.core.papers.read.NumbersReader;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;
import zinctally.core.papers.stock.Found;
import zinctally.core.papers.stock.Reason;

/** Reads what comes back from repair. */
public final class RepairBackReader {
  private static final StillAway.Words WORDS =
      new StillAway.Words(
          "With which paper did they go out for repair? Its number.",
          "nothing went out for repair that is not back",
          "sent out",
          "still out");
  private final Reader in;
  private final StillAway out;
  private final @Nullable Place bench;
  private final @Nullable Place into;
  private final boolean intoGoods;
  private final NumbersReader numbers;

  private RepairBackReader(Reader in, @Nullable LocalDate date) {
    this.in = in;
    out = StillAway.with(in, "repair", Awaits.IN_REPAIR, date, WORDS);
    bench = in.book.wentTo(in.draft.field("repair")).orElse(null);
    into = in.place("into", in.draft.field("into"));
    intoGoods = "goods".equals(in.draft.field("cost"));
    numbers = new NumbersReader(in);
    if (intoGoods && bench != null && !bench.ours())
      in.fault(
          "cost",
          "These are " + bench.whose().name() + "'s and have no cost here; mending is invoiced.");
  }

  public static Reading repairBack(Reader in) {
    LocalDate date = in.date();
    return new RepairBackReader(in, date).read(date);
  }

  private Reading read(@Nullable LocalDate date) {
    List<RepairBack.Line> lines = new ArrayList<>();
    for (RowReader row : in.rows()) {
      RepairBack.Line line = line(row);
      if (line != null) lines.add(line);
    }
    if (lines.isEmpty() && in.sound())
      in.fault("rows.0.item", "There is no line yet: what is back, and how?");
    Account account = account(lines.stream().anyMatch(l -> l.charge() != 0));
    return in.done(
        () -> new RepairBack(known(date), known(bench), intoGoods, account, List.copyOf(lines)));
  }

  private RepairBack.@Nullable Line line(RowReader row) {
    Moved goods =
        MovedReader.line(
            row,
            "; what is still out is left out.",
            (r, item, micros) -> numbers.leaving(r, item, micros, bench));
    boolean isScrap = !row.cell("reason").isEmpty();
    if (isScrap && bench != null && !bench.ours())
      row.fault("reason", "It is " + bench.whose().name() + "'s and not ours to write off.");
    Reason scrap = isScrap ? Found.reason(in, row, true) : null;
    Place there = isScrap ? null : there(row);
    Long charge = charge(row, isScrap);
    if (goods == null || out.isNothing()) return null;
    Optional<Awaited> of = out.take(row, goods.item(), goods.quantity().micros());
    return !row.sound() || of.isEmpty() || charge == null || !isScrap && there == null
        ? null
        : new RepairBack.Line(goods, of.get(), there, scrap, charge);
  }

  /** Where it comes to: good, unless the line says otherwise; it stays whosever it is. */
  private @Nullable Place there(RowReader row) {
    String typed = row.cell("standing");
    Standing standing = typed.isEmpty() ? Standing.GOOD : in.standing(row.at("standing"), typed);
    return into == null || bench == null || standing == null
        ? null
        : in.book.as(into, standing, bench.owner());
  }

  /** Minor units added to what comes back; null when they cannot be read. */
  private @Nullable Long charge(RowReader row, boolean isScrap) {
    String typed = row.cell("charge");
    if (typed.isEmpty()) return 0L;
    if (!intoGoods)
      row.fault(
          "charge",
          "Mending is an expense here and stands on its bill; choose that it belongs to the goods,"
              + " or leave this empty.");
    else if (isScrap) row.fault("charge", "Scrap bears no cost of mending.");
    return in.money(row.at("charge"), typed);
  }

  private @Nullable Account account(boolean needed) {
    String typed = in.draft.field("account");
    if (typed.isEmpty() && !needed) return null;
    Optional<Account> account = in.book.account(typed);
    if (account.isEmpty())
      in.fault(
          "account",
          typed.isEmpty()
              ? "From which account is what mending costs taken? The repairer's bill goes there."
              : "There is no account \"" + typed + "\".");
    else if (account.get().role().control())
      in.fault("account", account.get().label() + " is kept by its papers; take another.");
    return account.orElse(null);
  }
}
