package zinctally.store.people;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** What is kept of a secret in its place. */
public final class Secret {
  private Secret() {}

  /** SHA-256 of it, in hexadecimal: enough for what is random and long, not for a password. */
  public static String digest(String secret) {
    try {
      return HexFormat.of()
          .formatHex(
              MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.UTF_8)));
    } catch (NoSuchAlgorithmException everyJavaHasIt) {
      throw new IllegalStateException(everyJavaHasIt);
    }
  }
}
