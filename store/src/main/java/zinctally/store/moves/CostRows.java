package zinctally.store.moves;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.commons.csv.CSVFormat;
import zinctally.core.cost.EventKind;
import zinctally.core.moves.Costing;
import zinctally.core.moves.Moves;
import zinctally.core.number.Quantity;

/** A row for each input row, in input order; some thousands of them are made at a time. */
final class CostRows {
  private static final int BLOCK = 8192;
  private static final int AT_ONCE = 16;
  private static final String HEAD = "date,item,event,ref,quantity,value,on_hand,worth\r\n";
  private final Moves moves;
  private final Costing costing;
  private final int digits;
  private final String[] items;

  CostRows(MoveFile file, Costing costing, int digits) {
    this.moves = file.moves;
    this.costing = costing;
    this.digits = digits;
    items = file.items.stream().map(CostRows::quoted).toArray(String[]::new);
  }

  void write(OutputStream out) throws IOException {
    out.write(HEAD.getBytes(StandardCharsets.UTF_8));
    int blocks = (moves.size() + BLOCK - 1) / BLOCK;
    for (int from = 0; from < blocks; from += AT_ONCE) {
      List<byte[]> made =
          IntStream.range(from, Math.min(blocks, from + AT_ONCE))
              .parallel()
              .mapToObj(this::block)
              .toList();
      for (byte[] block : made) out.write(block);
    }
    out.flush();
  }

  private byte[] block(int block) {
    int end = Math.min(moves.size(), (block + 1) * BLOCK);
    Line text = new Line(BLOCK * 80);
    int day = Integer.MIN_VALUE;
    String date = "";
    for (int row = block * BLOCK; row < end; row++) {
      if (moves.day(row) != day) {
        day = moves.day(row);
        date = LocalDate.ofEpochDay(day).toString();
      }
      EventKind kind = moves.kind(row);
      text.add(date).comma().add(items[moves.item(row)]).comma();
      text.add(word(kind)).comma().add(quoted(moves.ref(row))).comma();
      if (kind != EventKind.CHARGE && kind != EventKind.REVALUE)
        text.decimal(costing.quantity(row), Quantity.PLACES, true);
      text.comma().decimal(costing.value(row), digits, false);
      text.comma().decimal(costing.onHand(row), Quantity.PLACES, true);
      text.comma().decimal(costing.worth(row), digits, false).end();
    }
    return text.bytes();
  }

  private static String word(EventKind kind) {
    return switch (kind) {
      case IN -> "in";
      case OUT -> "out";
      case BACK -> "back";
      case CHARGE -> "charge";
      case REVALUE -> "revalue";
    };
  }

  /** As CSV has it; plain letters and digits stand as they are. */
  private static String quoted(String value) {
    for (int i = 0; i < value.length(); i++) {
      char c = value.charAt(i);
      boolean plain = c >= '0' && c <= '9' || c >= 'A' && c <= 'Z' || c >= 'a' && c <= 'z';
      if (!plain) return CSVFormat.RFC4180.format(value);
    }
    return value;
  }
}
