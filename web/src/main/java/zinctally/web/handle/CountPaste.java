package zinctally.web.handle;

import java.io.IOException;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;
import zinctally.core.number.Figures;
import zinctally.core.papers.Fault;
import zinctally.core.papers.opening.Sheet;
import zinctally.store.Refused;
import zinctally.store.Retrying;
import zinctally.store.count.CountSheet;
import zinctally.store.count.Counting;
import zinctally.store.count.Scanned;
import zinctally.store.opening.SheetReader;

/** Takes a list of what was counted: a line each, with how many and where. */
@Component
class CountPaste {
  private static final int MOST = 2000;
  private static final int MOST_FAULTS = 8;
  private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("H:mm", Locale.ROOT);
  private final Scanned scanned;
  private final Counting counting;
  private final Retrying retrying;

  CountPaste(Scanned scanned, Counting counting, Retrying retrying) {
    this.scanned = scanned;
    this.counting = counting;
    this.retrying = retrying;
  }

  /**
   * Takes all of it, or nothing.
   *
   * @param list lines of code, barcode, name or number; then, after a tab or semicolon, how many,
   *     one when nothing is said; then where
   * @param at the time at which it was counted on the sheet's day, {@code 14:05}; empty for now
   * @return how many lines were taken
   * @throws Refused saying which lines are wrong
   */
  int take(CountSheet sheet, String list, String at, String login) {
    @Nullable LocalDateTime moment = moment(sheet, at);
    List<Fault> faults = new ArrayList<>();
    List<Counting.Counted> all = new ArrayList<>();
    String[] lines = list.split("\\R");
    if (lines.length > MOST) throw Refused.because("At most " + MOST + " lines are taken at once.");
    for (int i = 0; i < lines.length; i++)
      if (!lines[i].isBlank())
        try {
          all.add(line(lines[i], moment));
        } catch (Refused refused) {
          if (faults.size() < MOST_FAULTS)
            faults.add(Fault.whole("Line " + (i + 1) + ": " + CountController.says(refused)));
        }
    if (all.isEmpty() && faults.isEmpty())
      faults.add(Fault.whole("There is no line yet: what, and how many?"));
    if (!faults.isEmpty()) throw new Refused(faults);
    return retrying.run(
        () -> {
          all.forEach(counted -> counting.enter(sheet.id(), counted, login));
          return all.size();
        });
  }

  /**
   * The lines of a file, as they would be pasted; a first row that names its columns is left out.
   *
   * @throws Refused when it cannot be read
   */
  static String lines(MultipartFile file) throws IOException {
    try {
      Sheet sheet =
          SheetReader.file(
              Optional.ofNullable(file.getOriginalFilename()).orElse(""), file.getBytes());
      boolean named =
          sheet.headings().size() > 1 && Figures.read(sheet.headings().get(1)).isEmpty();
      return Stream.concat(
              named ? Stream.empty() : Stream.of(sheet.headings()), sheet.rows().stream())
          .map(cells -> String.join("\t", cells))
          .collect(Collectors.joining("\n"));
    } catch (SheetReader.Unreadable unreadable) {
      throw Refused.because(String.valueOf(unreadable.getMessage()));
    }
  }

  private Counting.Counted line(String line, @Nullable LocalDateTime at) {
    String[] cells = line.split("[\\t;]", -1);
    Counting.Counted read =
        scanned.read(cells[0], cells.length > 1 ? cells[1] : "", cells.length > 2 ? cells[2] : "");
    return new Counting.Counted(read.item(), read.lot(), read.quantity(), cut(read.spot()), at);
  }

  private static String cut(String spot) {
    return spot.length() > 40 ? spot.substring(0, 40) : spot;
  }

  private static @Nullable LocalDateTime moment(CountSheet sheet, String at) {
    if (at.isBlank()) return null;
    try {
      return sheet.date().atTime(LocalTime.parse(at.strip(), CLOCK));
    } catch (DateTimeParseException notATime) {
      throw Refused.because("\"" + at.strip() + "\" is no time; write it as 14:05.");
    }
  }
}
