package zinctally.store.question;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** All that questions can be about. */
public final class Subjects {
  private static final List<Subject> ALL =
      Stream.of(GoodsSubjects.ALL, TradeSubjects.ALL, LedgerSubjects.ALL)
          .flatMap(List::stream)
          .toList();

  private Subjects() {}

  /** Those that somebody may ask about, without what is not for them. */
  public static List<Subject> seen(boolean costs, boolean ledger) {
    return ALL.stream()
        .filter(s -> ledger || !s.ledger())
        .map(s -> costs ? s : s.withoutCosts())
        .toList();
  }

  public static Optional<Subject> find(String key, boolean costs, boolean ledger) {
    return seen(costs, ledger).stream().filter(s -> s.key().equals(key)).findFirst();
  }
}
