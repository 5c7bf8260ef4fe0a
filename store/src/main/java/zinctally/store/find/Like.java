package zinctally.store.find;

/** Letters that were typed, as SQL's {@code like} takes them for themselves. */
public final class Like {
  private Like() {}

  /** With backslash, per cent and underscore escaped. */
  public static String escaped(String typed) {
    return typed.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_");
  }
}
