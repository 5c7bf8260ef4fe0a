package zinctally.web.shell;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a new password must be. */
public final class NewPassword {
  private static final int LEAST = 10;
  private static final int MOST_BYTES = 72; // bcrypt looks at no more

  private static final Set<String> COMMON = common();

  private NewPassword() {}

  /**
   * What is wrong with one, as a sentence; empty when it will do.
   *
   * @param login of the person whose it is; empty when not known
   * @param name the same
   */
  public static Optional<String> fault(String password, String login, String name) {
    if (password.length() < LEAST)
      return Optional.of("At least ten characters; a few words make a good one.");
    if (password.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES)
      return Optional.of("At most 72 characters, fewer with other letters than English has.");
    return guessed(password.toLowerCase(Locale.ROOT), login, name)
        ? Optional.of("That is among the first that are guessed; a few words make a good one.")
        : Optional.empty();
  }

  /** Few different letters, a run of the keyboard, oneself, or one that many people have. */
  private static boolean guessed(String password, String login, String name) {
    if (password.chars().distinct().count() < 5) return true;
    String bare = password.replaceAll("[^a-z]", "");
    String rest = bare;
    for (String self : (login + " " + name).toLowerCase(Locale.ROOT).split("[^a-z]+"))
      if (!self.isEmpty()) rest = rest.replace(self, "");
    if (bare.length() > 2 && rest.length() < 3) return true;
    if (RUNS.stream().anyMatch(run -> run.contains(password))) return true;
    return COMMON.contains(bare) || COMMON.contains(password);
  }

  private static final List<String> RUNS =
      Stream.of("01234567890123456789", "abcdefghijklmnopqrstuvwxyz", "qwertyuiopasdfghjklzxcvbnm")
          .flatMap(run -> Stream.of(run, new StringBuilder(run).reverse().toString()))
          .toList();

  private static Set<String> common() {
    try (InputStream file = NewPassword.class.getResourceAsStream("/common-passwords.txt")) {
      return new String(file.readAllBytes(), StandardCharsets.UTF_8)
          .lines()
          .filter(line -> !line.isBlank() && !line.startsWith("#"))
          .collect(Collectors.toUnmodifiableSet());
    } catch (IOException gone) {
      throw new UncheckedIOException(gone);
    }
  }
}
