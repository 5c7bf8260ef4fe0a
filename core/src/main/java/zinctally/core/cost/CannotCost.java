package zinctally.core.cost;

/** An event that the rules of costing do not allow where it stands. */
public final class CannotCost extends RuntimeException {
  /** Why it cannot be. */
  public enum Reason {
    SHORT,
    UNKNOWN_ARRIVAL,
    UNKNOWN_OUT,
    RETURNS_TOO_MUCH,
    BELOW_ZERO,
    ABOVE_COST,
    NOTHING_TO_REVALUE,
    NO_TARGET
  }

  private final transient CostEvent event;
  private final Reason reason;
  private final long there;

  CannotCost(CostEvent event, Reason reason, long there) {
    super(reason + " at event " + event.id() + ", there: " + there);
    this.event = event;
    this.reason = reason;
    this.there = there;
  }

  public CostEvent event() {
    return event;
  }

  public Reason reason() {
    return reason;
  }

  /**
   * What there is of the thing that is wanting: millionths or minor units, as the reason has it.
   */
  public long there() {
    return there;
  }
}
