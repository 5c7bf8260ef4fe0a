package zinctally.store.posting;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import zinctally.core.ledger.JournalEntry;
import zinctally.core.ledger.JournalLine;
import zinctally.core.number.Money;

/** Makes journal entries, one for each date, debits first. */
final class Journals {
  private Journals() {}

  /**
   * @param known lines as the paper has them
   * @param worked lines from cost entries; those of one account, item and cost centre become one
   */
  static List<JournalEntry> of(List<Undo.Line> known, List<Undo.Line> worked) {
    TreeMap<LocalDate, List<JournalLine>> days = new TreeMap<>();
    for (Undo.Line line : known)
      if (line.line().amount().signum() != 0)
        days.computeIfAbsent(line.date(), d -> new ArrayList<>()).add(line.line());
    TreeMap<LocalDate, Map<List<Long>, Money>> sums = new TreeMap<>();
    for (Undo.Line line : worked)
      sums.computeIfAbsent(line.date(), d -> new LinkedHashMap<>())
          .merge(
              List.of(line.line().account(), line.line().item(), line.line().centre()),
              line.line().amount(),
              Money::plus);
    sums.forEach(
        (date, day) ->
            day.forEach(
                (key, sum) -> {
                  if (sum.signum() != 0)
                    days.computeIfAbsent(date, d -> new ArrayList<>())
                        .add(JournalLine.worked(key.get(0), key.get(1), sum, key.get(2)));
                }));
    List<JournalEntry> journals = new ArrayList<>();
    days.forEach(
        (date, lines) -> {
          lines.sort(Comparator.comparing((JournalLine l) -> l.amount().signum() < 0));
          journals.add(new JournalEntry(date, lines));
        });
    return journals;
  }
}
