package zinctally.store;

/**
 * A change of the set-up that cannot be made, and is undone as far as it was; the message is a
 * sentence for people.
 */
public final class NotKept extends RuntimeException {
  public NotKept(String message) {
    super(message);
  }
}
