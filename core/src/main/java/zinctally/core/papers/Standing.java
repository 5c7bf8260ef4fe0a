package zinctally.core.papers;

/**
 * In what condition goods are.
 *
 * @param sold whether goods in it may be sold
 * @param free whether they count as free: what is offered, and what nothing need be ordered for
 */
public record Standing(long id, String name, boolean sold, boolean free) {
  /** As they should be. */
  public static final Standing GOOD = new Standing(1, "Good", true, true);

  public boolean isGood() {
    return id == GOOD.id;
  }
}
