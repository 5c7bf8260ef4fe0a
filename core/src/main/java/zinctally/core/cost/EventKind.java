package zinctally.core.cost;

import java.util.Locale;

/** What can happen to a cost pool. */
public enum EventKind {
  IN,
  OUT,
  BACK,
  CHARGE,
  REVALUE;

  private final String word = name().toLowerCase(Locale.ROOT);

  /** Its word in movement files. */
  public String word() {
    return word;
  }
}
