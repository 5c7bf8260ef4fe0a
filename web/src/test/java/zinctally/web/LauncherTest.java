package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.IsoFields;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Parts of the launcher that can be tried alone. */
class LauncherTest {
  private static void backups(String... words) throws IOException, InterruptedException {
    String script = ". ../launcher/backup.sh; " + String.join(" ", words);
    assertThat(
            new ProcessBuilder("bash", "-euo", "pipefail", "-c", script)
                .inheritIO()
                .start()
                .waitFor())
        .isZero();
  }

  /** A server that is killed twice, or whose place is taken, and how often it was started. */
  @ParameterizedTest
  @CsvSource({"stays, 3", "taken, 1", "stopped, 1"})
  void a_server_that_ends_by_itself_comes_back_unless_another_runs_in_its_place(
      String place, int starts, @TempDir Path folder) throws Exception {
    Path server = folder.resolve("server");
    Files.writeString(
        server,
        """
        echo "$@" >> starts
        case $1 in taken) echo 1 > pid ;; stopped) rm pid ;; esac
        [ "$(wc -l < starts)" = 3 ] || kill -9 $$
        """);
    backups(
        "cd '" + folder + "'; . '" + Path.of("../launcher/database.sh").toAbsolutePath() + "';",
        "AGAIN_IN=1 again pid --first bash -c 'sleep 0.3; . ./server' server " + place);
    List<String> started = Files.readAllLines(folder.resolve("starts"));
    assertThat(started).hasSize(starts);
    assertThat(started.get(0)).isEqualTo(place + " --first");
    assertThat(started.subList(1, starts)).allMatch(place::equals);
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
        "newest=$(newest_before " + folder + " own '');",
        "[ \"$(made_at \"$newest\")\" = 2026-11-25-020000 ]");
  }

  @Test
  void a_moment_is_reached_from_the_newest_backup_before_it_whatever_the_folder_is_called(
      @TempDir Path parent) throws Exception {
    Path folder = Files.createDirectory(parent.resolve("the other disk"));
    for (String day : List.of("24", "25", "26"))
      Files.createFile(folder.resolve("zinc-own-2026-11-" + day + "-020000.sql.gz"));
    for (String asked : List.of("2026-11-25-140500 25", "2026-11-24-020000 24", " 26"))
      backups(
          "f=$(newest_before '" + folder + "' own '" + asked.split(" ")[0] + "');",
          "[ \"$(made_at \"$f\")\" = 2026-11-" + asked.split(" ")[1] + "-020000 ]");
    backups("[ -z \"$(newest_before '" + folder + "' own 2026-11-23-235959)\" ]");
  }

  @Test
  void a_log_of_which_a_part_is_missing_leads_nowhere(@TempDir Path home) throws Exception {
    Path log = Files.createDirectories(home.resolve("backups/log-one"));
    for (String part : List.of("log.000008", "log.000009", "log.000010"))
      Files.writeString(log.resolve(part), part);
    String backup =
        "mkdir -p $HOME_DIR/run; say() { printf '%s\\n' \"$*\"; }; . ../launcher/log.sh;"
            + " printf \"%s\\n\" '-- the log is one'"
            + " \"-- CHANGE MASTER TO MASTER_LOG_FILE='log.000009', MASTER_LOG_POS=4;\""
            + " | gzip > $HOME_DIR/b.gz;";
    String there = "HOME_DIR=" + home + "; " + backup;
    backups(
        there,
        "after $HOME_DIR/b.gz",
        home + "/backups;",
        "[ $(ls $HOME_DIR/run/after | wc -l) = 3 ]");
    Files.move(log.resolve("log.000010"), log.resolve("log.000011"));
    backups(there, "! after $HOME_DIR/b.gz", home + "/backups");
  }

  @Test
  void a_book_of_a_house_is_named_as_its_database_goes_on_and_what_is_none_is_refused()
      throws Exception {
    String house =
        ". ../launcher/house.sh; fail() { echo \"$*\" >&2; exit 1; }; say() { printf '%s\\n' \"$*\"; };"
            + " db_sql() { case $* in *\"name = 'wax-works'\") echo 1 ;; esac; };";
    backups(house, "[ $(named_book wax-works) = b_wax_works ]; [ $(named_book own) = own ]");
    backups(house, "! (named_book nobody) 2>/dev/null; ! (named_book \"x' or '1\") 2>/dev/null");
  }

  @ParameterizedTest
  @CsvSource({
    "own, own, true",
    "demo, own, false",
    "house, b_wickmere, true",
    "house, house, true",
    "house, own, false",
    "own, b_wickmere, false"
  })
  void a_book_is_served_by_itself_or_with_its_house(
      String now, String book, boolean served, @TempDir Path home) throws Exception {
    Files.writeString(Files.createDirectories(home.resolve("run")).resolve("web.book"), now);
    backups("HOME_DIR=" + home + ";", (served ? "" : "! ") + "served " + book);
  }

  /** All files are read into one shell, where of two with a name the later one is taken. */
  @Test
  void no_two_functions_of_the_launcher_have_one_name() throws IOException {
    List<String> names = new ArrayList<>();
    try (Stream<Path> files = Files.list(Path.of("../launcher"))) {
      for (Path file : files.filter(f -> f.toString().endsWith(".sh")).toList())
        Pattern.compile("^(\\w+)\\(\\)", Pattern.MULTILINE)
            .matcher(Files.readString(file))
            .results()
            .forEach(found -> names.add(found.group(1)));
    }
    assertThat(names).hasSizeGreaterThan(50).doesNotHaveDuplicates();
  }
}
