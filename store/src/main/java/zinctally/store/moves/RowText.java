package zinctally.store.moves;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import zinctally.core.cost.EventKind;
import zinctally.core.moves.Costing;
import zinctally.core.moves.Moves;
import zinctally.core.number.Quantity;

/** Rows of a part with their costs, as CSV. */
final class RowText {
  static final byte[] HEAD =
      "date,item,event,ref,quantity,value,on_hand,worth\r\n".getBytes(StandardCharsets.UTF_8);
  private final Moves moves;
  private final Costing costing;
  private final List<String> items;
  private final int digits;
  private int day = Integer.MIN_VALUE;
  private String date = "";

  /**
   * @param items their names as CSV has them
   */
  RowText(Moves moves, Costing costing, List<String> items, int digits) {
    this.moves = moves;
    this.costing = costing;
    this.items = items;
    this.digits = digits;
  }

  void add(int row, Line text) {
    if (moves.day(row) != day) {
      day = moves.day(row);
      date = LocalDate.ofEpochDay(day).toString();
    }
    EventKind kind = moves.kind(row);
    text.add(date).comma().add(items.get(moves.item(row))).comma();
    text.add(kind.word()).comma().add(quoted(moves.ref(row))).comma();
    if (kind != EventKind.CHARGE && kind != EventKind.REVALUE)
      text.decimal(costing.quantity(row), Quantity.PLACES, true);
    text.comma().decimal(costing.value(row), digits, false);
    text.comma().decimal(costing.onHand(row), Quantity.PLACES, true);
    text.comma().decimal(costing.worth(row), digits, false).end();
  }

  /** As CSV has it; plain letters and digits stand as they are. */
  static String quoted(String value) {
    for (int i = 0; i < value.length(); i++) {
      char c = value.charAt(i);
      boolean plain = c >= '0' && c <= '9' || c >= 'A' && c <= 'Z' || c >= 'a' && c <= 'z';
      if (!plain) return CSVFormat.RFC4180.format(value);
    }
    return value;
  }
}
