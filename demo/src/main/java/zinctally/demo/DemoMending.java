package zinctally.demo;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;
import zinctally.store.setup.PlaceStore;

/**
 * What is mended in the demo book, ours and customers' own, and what is damaged: each month
 * somebody brings an extractor, in some months it goes on to a repairer.
 */
@Component
class DemoMending {
  private static final String REPAIRER = "Alder Repairs";
  private static final List<String> BRINGING =
      List.of("Sedge Hill Farm", "Old Mill Honey", "Linden Row Gardens", "Coppice Keepers");
  private static final List<String> WRONG =
      List.of("motor hums", "cage bent", "gear slips", "tap leaks");
  private final DemoPapers papers;
  private final PlaceStore places;
  private YearMonth month = YearMonth.of(2025, 8);
  private State state = State.NONE;
  private String customer = "";
  private String away = "";

  private enum State {
    NONE,
    HERE,
    AWAY,
    MENDED
  }

  DemoMending(DemoPapers papers, PlaceStore places) {
    this.papers = papers;
    this.places = places;
  }

  /** Brought on the 3rd, with the repairer from the 6th to the 17th, collected on the 20th. */
  void day(LocalDate day) {
    int of = day.getDayOfMonth();
    if (of >= 3 && !month.equals(YearMonth.from(day))) bring(day);
    Map<String, String> goods = Map.of("item", "EXT-09", "quantity", "1");
    if (of >= 6 && day.getMonthValue() % 3 == 0 && state == State.HERE) {
      state = State.AWAY;
      away =
          papers.post(
              PaperKind.REPAIR_OUT,
              head(
                  day,
                  "repairer",
                  REPAIRER,
                  "place",
                  "Barn store, of " + customer,
                  "back_by",
                  day.plusDays(14).toString()),
              goods);
    }
    if (of >= 17 && state == State.AWAY) {
      state = State.MENDED;
      papers.post(
          PaperKind.REPAIR_BACK,
          head(day, "repair", away, "into", "Barn store"),
          Map.of("item", "EXT-09", "quantity", "1", "memo", "new bearing"));
    }
    if (of >= 20 && state != State.NONE && day.isBefore(LocalDate.of(2026, 11, 1))) {
      state = State.NONE;
      papers.post(PaperKind.GIVEN_BACK, head(day, "customer", customer), goods);
    }
  }

  private void bring(LocalDate day) {
    month = YearMonth.from(day);
    state = State.HERE;
    customer = BRINGING.get(day.getMonthValue() % BRINGING.size());
    String wrong = WRONG.get((day.getMonthValue() + 1) % WRONG.size());
    papers.post(
        PaperKind.TAKEN_IN,
        head(day, "customer", customer, "back_by", day.plusDays(21).toString()),
        Map.of("item", "EXT-09", "quantity", "1", "memo", wrong));
  }

  private static Map<String, String> head(LocalDate day, String... more) {
    Map<String, String> head = new HashMap<>(Map.of("date", day.toString()));
    for (int i = 0; i < more.length; i += 2) head.put(more[i], more[i + 1]);
    return head;
  }

  /** Ours: smokers that came back and went to scrap, an extractor that is overdue, broken jars. */
  void write() {
    places.save(new PlaceStore.Standing(0, "Seconds", true, false, true));
    String smokers =
        papers.post(
            PaperKind.REPAIR_OUT,
            head(
                LocalDate.of(2026, 9, 22),
                "repairer",
                REPAIRER,
                "back_by",
                "2026-10-09",
                "expected",
                "12"),
            Map.of("item", "SMK-03", "quantity", "3", "memo", "bellows torn"));
    papers.post(
        PaperKind.REPAIR_BACK,
        head(
            LocalDate.of(2026, 10, 12),
            "repair",
            smokers,
            "into",
            "Barn store",
            "cost",
            "goods",
            "account",
            "6100"),
        Map.of("item", "SMK-03", "quantity", "2", "charge", "9.80", "memo", "new bellows"),
        Map.of("item", "SMK-03", "quantity", "1", "reason", "Breakage", "memo", "can split"));
    papers.post(
        PaperKind.REPAIR_OUT,
        head(
            LocalDate.of(2026, 10, 26),
            "repairer",
            REPAIRER,
            "back_by",
            "2026-11-13",
            "expected",
            "85"),
        Map.of("item", "EXT-04", "quantity", "1", "memo", "motor gets hot"));
    papers.post(
        PaperKind.TRANSFER,
        head(LocalDate.of(2026, 11, 12), "into", "Barn store", "standing", "Damaged"),
        Map.of("item", "JAR-34", "quantity", "14", "memo", "fell in the aisle"),
        Map.of("item", "JAR-22", "quantity", "6", "memo", "fell in the aisle"));
    papers.post(
        PaperKind.TRANSFER,
        head(LocalDate.of(2026, 11, 13), "place", "Shop", "into", "Shop", "standing", "Seconds"),
        Map.of("item", "LBL-01", "quantity", "2", "memo", "misprinted, half price"));
    papers.post(
        PaperKind.TRANSFER,
        head(LocalDate.of(2026, 11, 17), "into", "Barn store", "standing", "On hold"),
        Map.of("item", "SUG-12", "quantity", "4", "memo", "bags damp, to be looked at"));
  }
}
