package zinctally.store.moves;

import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/** Bytes of CSV lines as they are put together. */
final class Line {
  private byte[] bytes;
  private int size;

  Line(int room) {
    bytes = new byte[room];
  }

  private void room(int more) {
    if (size + more > bytes.length) bytes = Arrays.copyOf(bytes, (size + more) * 2);
  }

  Line add(String text) {
    byte[] more = text.getBytes(StandardCharsets.UTF_8);
    room(more.length);
    System.arraycopy(more, 0, bytes, size, more.length);
    size += more.length;
    return this;
  }

  Line comma() {
    room(1);
    bytes[size++] = ',';
    return this;
  }

  void end() {
    room(2);
    bytes[size++] = '\r';
    bytes[size++] = '\n';
  }

  /**
   * A whole number of smallest places as a plain decimal.
   *
   * @param shortest whether zeros at the end are left out
   */
  Line decimal(long number, int places, boolean shortest) {
    if (number == Long.MIN_VALUE) return add(BigDecimal.valueOf(number, places).toPlainString());
    room(24);
    long rest = Math.abs(number);
    if (number < 0) bytes[size++] = '-';
    int keep = places;
    while (shortest && keep > 0 && rest % 10 == 0) {
      rest /= 10;
      keep--;
    }
    int length = 1;
    for (long left = rest / 10; left > 0 || length <= keep; left /= 10) length++;
    if (keep > 0) length++;
    for (int at = size + length - 1, digit = 0; at >= size; at--, digit++) {
      if (keep > 0 && digit == keep) {
        bytes[at--] = '.';
      }
      bytes[at] = (byte) ('0' + rest % 10);
      rest /= 10;
    }
    size += length;
    return this;
  }

  int size() {
    return size;
  }

  void clear() {
    size = 0;
  }

  void writeTo(OutputStream out) throws IOException {
    out.write(bytes, 0, size);
  }
}
