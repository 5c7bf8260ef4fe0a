package zinctally.core.statement;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Optional;

/**
 * What one column of a statement is about: what was earned and moved from a day to a day, or what
 * stood at the end of the last.
 *
 * @param words what is over it
 * @param known the moment up to which entries count; empty for all that are made
 * @param borne the cost centres whose entries count; empty for all entries
 */
public record Column(
    String words,
    LocalDate from,
    LocalDate to,
    Optional<LocalDateTime> known,
    Optional<Borne> borne) {
  static Column of(LocalDate from, LocalDate to) {
    return new Column(from + " to " + to, from, to, Optional.empty(), Optional.empty());
  }

  /** The same as the book knew it at a moment. */
  public Column knownAt(LocalDateTime moment) {
    return new Column(words, from, to, Optional.of(moment), borne);
  }

  /** The same under other words. */
  public Column called(String other) {
    return new Column(other, from, to, known, borne);
  }

  /** The same of what some cost centres bear. */
  public Column borneBy(Borne centres) {
    return new Column(words, from, to, known, Optional.of(centres));
  }

  LocalDate dayBefore() {
    return from.minusDays(1);
  }
}
