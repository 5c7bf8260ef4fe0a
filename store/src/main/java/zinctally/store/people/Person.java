package zinctally.store.people;

import java.util.regex.Pattern;

/**
 * Someone who may sign in.
 *
 * @param figures in which form they write figures; empty for as the book does
 * @param initials by which they are named at the counter; empty for none
 * @param maySellShort whether goods that are not there yet may be sold, when the book allows it
 */
public record Person(
    long id,
    String login,
    String name,
    String password,
    Role role,
    boolean active,
    boolean maySellShort,
    String initials,
    String figures) {
  private static final Pattern LOGIN = Pattern.compile("[A-Za-z0-9._-]{2,60}");

  /** Whether somebody can sign in by this name. */
  public static boolean isLogin(String typed) {
    return LOGIN.matcher(typed).matches();
  }

  /** What a person may do. */
  public enum Role {
    OWNER("owner", "all, and who may sign in"),
    BOOKKEEPER("bookkeeper", "writes every paper and sets up"),
    COUNTER("counter", "sells: every paper of selling"),
    READER("reader", "reads, writes nothing");

    private final String words;
    private final String may;

    Role(String words, String may) {
      this.words = words;
      this.may = may;
    }

    public String words() {
      return words;
    }

    public String may() {
      return may;
    }
  }
}
