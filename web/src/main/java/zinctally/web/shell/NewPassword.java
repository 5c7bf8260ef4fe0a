package zinctally.web.shell;

import java.nio.charset.StandardCharsets;
import java.util.Optional;

/** What a new password must be. */
public final class NewPassword {
  private static final int LEAST = 10;
  private static final int MOST_BYTES = 72; // bcrypt looks at no more

  private NewPassword() {}

  /** What is wrong with one, as a sentence; empty when it will do. */
  public static Optional<String> fault(String password) {
    if (password.length() < LEAST)
      return Optional.of("At least ten characters; a few words make a good one.");
    if (password.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES)
      return Optional.of("At most 72 characters, fewer with other letters than English has.");
    return Optional.empty();
  }
}
