package zinctally.core.goods;

/** Global Trade Item Numbers of 8, 12, 13 or 14 digits (GS1 General Specifications, 7.9). */
public final class Gtin {
  private Gtin() {}

  /** Whether the text is digits of a length in use and its check digit is right. */
  public static boolean isRight(String text) {
    return text.matches("\\d{8}|\\d{12,14}")
        && checkDigit(text.substring(0, text.length() - 1)) == text.charAt(text.length() - 1) - '0';
  }

  /** The check digit for the digits before it: weights 3 and 1 from the right. */
  public static int checkDigit(String body) {
    int sum = 0;
    for (int i = 0; i < body.length(); i++)
      sum += (body.charAt(body.length() - 1 - i) - '0') * (i % 2 == 0 ? 3 : 1);
    return (10 - sum % 10) % 10;
  }
}
