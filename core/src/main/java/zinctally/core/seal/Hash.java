package zinctally.core.seal;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.HexFormat;

/** A SHA-256 digest (FIPS 180-4), thirty-two bytes. */
public final class Hash {
  public static final Hash NONE = new Hash(new byte[32]);
  private final byte[] bytes;

  public Hash(byte[] bytes) {
    if (bytes.length != 32) throw new IllegalArgumentException("a digest has 32 bytes");
    this.bytes = bytes.clone();
  }

  /** Of some pieces of bytes, one after the other. */
  public static Hash of(byte[]... pieces) {
    MessageDigest digest = digest();
    for (byte[] piece : pieces) digest.update(piece);
    return new Hash(digest.digest());
  }

  static MessageDigest digest() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException never) {
      throw new IllegalStateException(never);
    }
  }

  public byte[] bytes() {
    return bytes.clone();
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Hash hash && Arrays.equals(bytes, hash.bytes);
  }

  @Override
  public int hashCode() {
    return Arrays.hashCode(bytes);
  }

  /** As hexadecimal digits. */
  @Override
  public String toString() {
    return HexFormat.of().formatHex(bytes);
  }
}
