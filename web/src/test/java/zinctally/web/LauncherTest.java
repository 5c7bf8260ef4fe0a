package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.IsoFields;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Parts of the launcher that can be tried alone. */
class LauncherTest {
  private static void backups(String... words) throws IOException, InterruptedException {
    String script = ". ../launcher/backup.sh; " + String.join(" ", words);
    assertThat(new ProcessBuilder("bash", "-euc", script).inheritIO().start().waitFor()).isZero();
  }

  private static LocalDate day(Path file) {
    return LocalDate.parse(file.getFileName().toString().substring(9, 19));
  }

  @Test
  void backups_thin_out_to_one_a_week_and_then_one_a_month(@TempDir Path folder) throws Exception {
    LocalDate today = LocalDate.now();
    for (int ago = 0; ago < 200; ago++)
      Files.createFile(folder.resolve("zinc-own-" + today.minusDays(ago) + "-020000.sql.gz"));
    Path other = Files.createFile(folder.resolve("zinc-demo-2020-01-01-020000.sql.gz"));
    backups("thin", folder.toString(), "own");
    List<LocalDate> left;
    try (Stream<Path> files = Files.list(folder)) {
      left = files.filter(f -> !f.equals(other)).map(LauncherTest::day).sorted().toList();
    }
    assertThat(other).exists();
    assertThat(left).contains(today, today.minusDays(1), today.minusDays(7), today.minusDays(8));
    List<LocalDate> weekly =
        left.stream()
            .filter(d -> d.isBefore(today.minusDays(8)) && !d.isBefore(today.minusDays(41)))
            .toList();
    assertThat(weekly)
        .hasSizeBetween(4, 6)
        .extracting(d -> d.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR))
        .doesNotHaveDuplicates();
    List<LocalDate> monthly = left.stream().filter(d -> d.isBefore(today.minusDays(43))).toList();
    assertThat(monthly).hasSizeBetween(5, 7).extracting(YearMonth::from).doesNotHaveDuplicates();
  }

  @Test
  void the_newest_backup_is_told_by_its_name_also_when_it_is_encrypted(@TempDir Path folder)
      throws Exception {
    for (String name :
        List.of(
            "zinc-own-2026-11-24-020000.sql.gz",
            "zinc-own-2026-11-25-020000.sql.gz.age",
            "zinc-own-2026-11-26-020000.sql.gz.part",
            "zinc-demo-2026-11-27-020000.sql.gz")) Files.createFile(folder.resolve(name));
    backups(
        "newest=$(backups " + folder + " own | head -1);",
        "[ \"$(made_at \"$newest\")\" = 2026-11-25-020000 ]");
  }
}
