package zinctally.core.papers.read;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.goods.Tracking;
import zinctally.core.number.Quantity;
import zinctally.core.units.Units;

/** Understands what is typed of lots and serial numbers in the lines of one paper. */
final class NumbersTyped {

  private static final Pattern RUN = Pattern.compile("(\\d{1,4})\\s+from\\s+(\\S{1,60})");

  private static final Pattern ONE =
      Pattern.compile("([^\\s:]{1,60})(?:\\s+(\\d{4}-\\d{2}-\\d{2}))?(?:\\s*:\\s*(.{1,30}))?");

  static final int MOST = 2000;

  private final Set<String> named = new HashSet<>();

  /**
   * @param micros how much of the line; zero when that is not understood
   */
  record Entry(String code, @Nullable LocalDate expiry, long micros) {}

  static String howTo(boolean serial) {
    return serial
        ? "Type, paste or scan them, or write a run like 12 from EX-0101."
        : "Write lot and expiry, like M-7 2027-05-31; for several, with how many: M-7: 40, M-8: 60.";
  }

  /** What is typed in a row; says what is wrong with it. */
  List<Entry> parsed(RowReader row, Item item, long micros) {
    boolean serial = item.tracking() == Tracking.SERIAL;
    List<Entry> entries = new ArrayList<>();
    String[] words = row.cell("numbers").split("[,;\\n\\t]+");
    List<String> asked =
        java.util.Arrays.stream(words).map(String::strip).filter(w -> !w.isEmpty()).toList();
    for (String word : asked) {
      Matcher run = RUN.matcher(word);
      Matcher one = ONE.matcher(word);
      if (serial && run.matches()) run(row, run.group(1), run.group(2), entries);
      else if (one.matches()) {
        LocalDate expiry = one.group(2) == null ? null : day(row, one.group(2));
        long part = serial ? Quantity.ONE : part(row, item, one.group(3), micros, asked.size());
        entries.add(new Entry(one.group(1), expiry, part));
      } else row.fault("numbers", "\"" + word + "\" is not understood. " + howTo(serial));
      if (entries.size() > MOST) {
        row.fault("numbers", "A line takes " + MOST + " numbers at most; use a second line.");
        return List.of();
      }
    }
    for (Entry entry : entries)
      if (!named.add(item.id() + " " + NumbersReader.key(entry.code) + (serial ? "" : " " + row)))
        row.fault("numbers", entry.code + " stands here twice.");
    return entries;
  }

  /** How much of the line a lot is; all of it when it is the only one. */
  private long part(RowReader row, Item item, @Nullable String typed, long micros, int lots) {
    if (typed == null && lots == 1) return micros;
    Optional<Units.Typed> read = typed == null ? Optional.empty() : item.units().read(typed);
    if (read.isPresent() && read.get().quantity().signum() > 0)
      return read.get().quantity().micros();
    row.fault("numbers", "How much of each lot? Write it behind the lot: M-7: 40, M-8: 60.");
    return 0;
  }

  private @Nullable LocalDate day(RowReader row, String typed) {
    try {
      return LocalDate.parse(typed);
    } catch (DateTimeParseException notADate) {
      row.fault("numbers", typed + " is not a date.");
      return null;
    }
  }

  /** The first number and how many: the last digits in it count on. */
  private void run(RowReader row, String count, String first, List<Entry> entries) {
    int wanted = Integer.parseInt(count);
    // the digits nearest the end count on
    int end = first.length();
    while (end > 0 && !Character.isDigit(first.charAt(end - 1))) end--;
    int start = end;
    while (start > 0 && Character.isDigit(first.charAt(start - 1)) && end - start < 18) start--;
    if (start == end || wanted > MOST) {
      row.fault("numbers", "A run needs a first number with digits in it, like 12 from EX-0101.");
      return;
    }
    long number = Long.parseLong(first.substring(start, end));
    String form = "%0" + (end - start) + "d";
    for (int i = 0; i < wanted; i++)
      entries.add(
          new Entry(
              first.substring(0, start) + String.format(form, number + i) + first.substring(end),
              null,
              Quantity.ONE));
  }
}
