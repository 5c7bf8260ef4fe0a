package zinctally.web.paper;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import zinctally.core.ledger.JournalLine;
import zinctally.core.proof.Proof;
import zinctally.store.book.BookCatalogue;
import zinctally.web.shell.Say;

/** Shows what the ledger gets from a paper. */
@Component
class LedgerShown {
  private final Say say;

  LedgerShown(Say say) {
    this.say = say;
  }

  record AccountShown(String label, String debit, String credit) {}

  record EntryShown(String date, List<AccountShown> accounts, String total) {}

  /** What the ledger gets, by date; of a new version, what is left of old and new together. */
  List<EntryShown> entries(Proof.Work work, BookCatalogue book) {
    boolean net = !work.reversals().isEmpty();
    TreeMap<LocalDate, Map<Long, long[]>> days = new TreeMap<>();
    Stream.concat(work.reversals().stream(), work.journals().stream())
        .forEach(
            journal -> {
              Map<Long, long[]> sums =
                  days.computeIfAbsent(journal.date(), d -> new LinkedHashMap<>());
              for (JournalLine line : journal.lines())
                sums.computeIfAbsent(line.account(), k -> new long[2])[
                        line.amount().signum() > 0 ? 0 : 1] +=
                    Math.abs(line.amount().minor());
            });
    if (net)
      for (Map<Long, long[]> sums : days.values())
        sums.replaceAll(
            (account, sum) ->
                new long[] {Math.max(0, sum[0] - sum[1]), Math.max(0, sum[1] - sum[0])});
    return days.entrySet().stream()
        .map(
            day -> {
              List<AccountShown> accounts =
                  day.getValue().entrySet().stream()
                      .filter(e -> e.getValue()[0] != 0 || e.getValue()[1] != 0)
                      .map(
                          e ->
                              new AccountShown(
                                  book.account(e.getKey()).name(),
                                  say.quiet(e.getValue()[0]),
                                  say.quiet(e.getValue()[1])))
                      .toList();
              long total = day.getValue().values().stream().mapToLong(sum -> sum[0]).sum();
              return new EntryShown(day.getKey().toString(), accounts, say.money(total));
            })
        .filter(e -> !e.accounts().isEmpty())
        .toList();
  }
}
