package zinctally.core.cost;

/** What can happen to a cost pool. */
public enum EventKind {
  IN,
  OUT,
  BACK,
  CHARGE,
  REVALUE
}
