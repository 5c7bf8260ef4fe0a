package zinctally.store.people;

import java.security.SecureRandom;
import java.util.Base64;

/** What is random and long enough that nobody guesses it. */
public final class Secret {
  private static final int BYTES = 32;
  private static final SecureRandom RANDOM = new SecureRandom();

  private Secret() {}

  /** A new one, as it can stand in an address. */
  public static String fresh() {
    byte[] bytes = new byte[BYTES];
    RANDOM.nextBytes(bytes);
    return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
  }
}
