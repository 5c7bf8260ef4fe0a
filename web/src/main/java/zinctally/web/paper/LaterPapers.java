package zinctally.web.paper;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import zinctally.core.cost.EventKind;
import zinctally.core.proof.Proof;
import zinctally.store.book.BookCatalogue;
import zinctally.store.paper.PaperStore;
import zinctally.web.shell.Say;

/** Papers of before whose cost a posting would move. */
@Component
class LaterPapers {
  private final PaperStore papers;
  private final Say say;

  LaterPapers(PaperStore papers, Say say) {
    this.papers = papers;
    this.say = say;
  }

  /**
   * @param date the paper's own date
   * @param posted the date on which the difference is posted
   */
  record Shown(
      long paper, String number, String date, String item, String difference, String posted) {}

  /** One account on one posting date, and by how much all of them together move it. */
  record Sum(String account, String date, String difference, int papers) {}

  List<Shown> some(Proof.Work work, int from, int count) {
    Map<Long, String> codes = new HashMap<>();
    work.shifts().forEach(s -> codes.put(s.item().id(), s.item().code()));
    List<Proof.Later> some = work.later().stream().skip(from).limit(count).toList();
    Map<Long, PaperStore.PaperRef> refs =
        papers.ofEvents(some.stream().map(l -> l.event().id()).toList());
    return some.stream()
        .map(
            l -> {
              PaperStore.PaperRef ref = Objects.requireNonNull(refs.get(l.event().id()));
              boolean made = l.event().kind() == EventKind.IN;
              return new Shown(
                  ref.id(),
                  ref.number(),
                  ref.date().toString(),
                  codes.getOrDefault(l.item(), "") + (made ? " made" : ""),
                  say.change(made ? l.difference() : -l.difference()),
                  l.postingDate().toString());
            })
        .toList();
  }

  /** By account over all dates. */
  List<Sum> totals(Proof.Work work, BookCatalogue book) {
    Map<Long, List<Proof.StockEntry>> byAccount = new TreeMap<>();
    for (Proof.StockEntry entry : moved(work))
      byAccount.computeIfAbsent(entry.contra(), k -> new ArrayList<>()).add(entry);
    return byAccount.entrySet().stream()
        .map(
            e -> {
              LocalDate first =
                  e.getValue().stream()
                      .map(Proof.StockEntry::postingDate)
                      .min(LocalDate::compareTo)
                      .orElseThrow();
              LocalDate last =
                  e.getValue().stream()
                      .map(Proof.StockEntry::postingDate)
                      .max(LocalDate::compareTo)
                      .orElseThrow();
              return new Sum(
                  book.account(e.getKey()).name(),
                  first.equals(last) ? first.toString() : first + " to " + last,
                  say.change(-e.getValue().stream().mapToLong(Proof.StockEntry::value).sum()),
                  e.getValue().size());
            })
        .toList();
  }

  private static List<Proof.StockEntry> moved(Proof.Work work) {
    Set<Long> moved = new HashSet<>();
    work.later().forEach(l -> moved.add(l.event().id()));
    return work.entries().stream()
        .filter(e -> moved.contains(e.event().id()) && e.quantity() == 0 && e.contra() != 0)
        .toList();
  }

  /** By account and posting date. */
  List<Sum> sums(Proof.Work work, BookCatalogue book) {
    record Key(LocalDate date, long account) {}
    Map<Key, long[]> sums =
        new TreeMap<>(java.util.Comparator.comparing(Key::date).thenComparing(Key::account));
    for (Proof.StockEntry entry : moved(work)) {
      long[] sum =
          sums.computeIfAbsent(new Key(entry.postingDate(), entry.contra()), k -> new long[2]);
      sum[0] -= entry.value();
      sum[1]++;
    }
    return sums.entrySet().stream()
        .map(
            e ->
                new Sum(
                    book.account(e.getKey().account()).name(),
                    e.getKey().date().toString(),
                    say.change(e.getValue()[0]),
                    (int) e.getValue()[1]))
        .toList();
  }
}
