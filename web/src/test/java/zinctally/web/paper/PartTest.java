package zinctally.web.paper;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;

/** Lines of a long paper that one window shows, between others. */
class PartTest {
  private static Draft draft(List<Map<String, String>> rows) {
    return new Draft(PaperKind.BILL, Map.of("date", "2026-05-02"), rows);
  }

  private static List<Map<String, String>> lines(int many) {
    List<Map<String, String>> rows = new ArrayList<>();
    for (int i = 0; i < many; i++) rows.add(Map.of("item", "I" + i));
    return rows;
  }

  @Test
  void a_paper_that_is_not_long_is_shown_whole_and_a_long_one_around_the_line_asked_for() {
    assertThat(Part.with(draft(lines(300)), 299).isWhole()).isTrue();
    Draft lengthy = draft(lines(450));
    assertThat(Part.with(lengthy, 0)).isEqualTo(new Part(0, 200, 450));
    assertThat(Part.with(lengthy, 399)).isEqualTo(new Part(200, 400, 450));
    assertThat(Part.with(lengthy, 400)).isEqualTo(new Part(400, Part.END, 450));
    assertThat(Part.with(lengthy, 9_999)).isEqualTo(new Part(400, Part.END, 450));
    assertThat(Part.with(lengthy, 250).later()).isEqualTo(400);
    assertThat(Part.with(lengthy, 250).earlier()).isZero();
    assertThat(Part.with(lengthy, 430).later()).isNegative();
  }

  /** Whatever is typed, struck out or added in whichever part, the lines beside it stay. */
  @Test
  void many_windows_on_one_paper_come_to_the_same_as_one_list() {
    for (long seed = 1; seed <= 200; seed++) {
      Random random = new Random(seed);
      List<Map<String, String>> list = lines(301 + random.nextInt(900));
      Draft saved = draft(list);
      List<Map<String, String>> expected = new ArrayList<>(list);
      Part part = Part.with(saved, random.nextInt(list.size()));
      for (int step = 0; step < 12; step++) {
        if (random.nextInt(3) == 0)
          part = Part.with(saved, random.nextInt(saved.typedRows().size()));
        List<Map<String, String>> mine = new ArrayList<>(part.rows(saved));
        int at = mine.isEmpty() ? 0 : random.nextInt(mine.size());
        switch (random.nextInt(3)) {
          case 0 -> mine.add(Map.of("item", "new " + step));
          case 1 -> {
            if (mine.size() > 2) mine.remove(at);
          }
          default -> {
            if (!mine.isEmpty()) mine.set(at, Map.of("item", "other " + step));
          }
        }
        int shown = part.rows(saved).size();
        expected.subList(part.from(), part.from() + shown).clear();
        expected.addAll(part.from(), mine);
        List<Map<String, String>> sent = new ArrayList<>();
        for (int i = 0; i < part.from(); i++) sent.add(Map.of());
        sent.addAll(mine);
        sent.add(Map.of());
        Draft kept = part.within(saved, draft(sent));
        part = part.of(saved, kept);
        saved = kept;
        assertThat(saved.typedRows()).as("seed " + seed + ", step " + step).isEqualTo(expected);
      }
    }
  }
}
