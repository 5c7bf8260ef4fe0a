package zinctally.core.papers.read;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Party;
import zinctally.core.papers.money.OpenItem;

/** What is asked about whom a paper is from or for. */
public final class PartyQuestions {
  private PartyQuestions() {}

  /** Asks when another paper of this kind from them bears their number. */
  public static void sameNumber(Reader in, @Nullable Party who, String theirNumber) {
    if (who == null || who.id() == 0 || theirNumber.isEmpty()) return;
    in.book
        .sameNumber(in.draft.kind(), who.id(), theirNumber)
        .ifPresent(other -> in.ask("their_number", other + " bears the same number."));
  }

  /** Asks when a customer would owe more than their limit. */
  public static void credit(Reader in, @Nullable Party who, long more) {
    if (who == null) return;
    over(in.book, who, more)
        .ifPresent(
            owed ->
                in.ask(
                    who.kind().field(),
                    who.name()
                        + " would owe "
                        + in.say(owed)
                        + "; the limit is "
                        + in.say(in.book.creditLimit(who.id()).orElseThrow())
                        + "."));
  }

  /**
   * What a customer would owe, when that is more than their limit.
   *
   * @param more minor units
   */
  public static Optional<Long> over(Catalogue book, Party who, long more) {
    if (who.id() == 0) return Optional.empty();
    return book.creditLimit(who.id())
        .flatMap(limit -> Optional.of(owed(book, who, more)).filter(owed -> owed > limit));
  }

  private static long owed(Catalogue book, Party who, long more) {
    return Math.addExact(book.openItems(who.id()).stream().mapToLong(OpenItem::open).sum(), more);
  }
}
