package zinctally.web.opening;

import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import zinctally.core.number.Form;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;
import zinctally.core.papers.opening.Column;
import zinctally.core.papers.opening.OpeningStock;
import zinctally.core.papers.opening.OpeningStockReader;
import zinctally.core.papers.opening.Sheet;
import zinctally.core.proof.Proof;
import zinctally.store.paper.SavedDraft;
import zinctally.store.posting.Proving;
import zinctally.store.setup.PlaceStore;
import zinctally.web.paper.Windows;

/** Shows the sheet of opening stock with its proof. */
@Component
class SheetPage {
  private static final int SHOWN_FAULTS = 200;
  private static final int SHOWN_ROWS = 200;
  private static final int GRID_ROWS = 12;
  private final Proving proving;
  private final PlaceStore places;

  SheetPage(Proving proving, PlaceStore places) {
    this.proving = proving;
    this.places = places;
  }

  /** A fault with its place in words. */
  record FaultShown(String cell, int row, String column, String says) {}

  void show(SavedDraft saved, HttpServletRequest request, String who, Model model) {
    model.addAttribute("window", Windows.of(request));
    Draft draft = saved.draft();
    Proof proof = proving.prove(draft, saved.amends(), who);
    List<String> headings = List.of(draft.field("headings").split("\t", -1));
    List<String> columns = List.of(draft.fields().getOrDefault("columns", "").split(",", -1));
    model.addAttribute("saved", saved);
    model.addAttribute("headings", headings);
    model.addAttribute("columns", columns);
    model.addAttribute("offered", Column.values());
    model.addAttribute("forms", Form.values());
    model.addAttribute("figures", draft.form().name());
    model.addAttribute("figuresKnown", !"no".equals(draft.field(Sheet.FORM_KNOWN)));
    model.addAttribute("place", draft.field("place"));
    model.addAttribute("places", places.plain());
    boolean grid = draft.rows().size() <= SHOWN_ROWS;
    List<Map<String, String>> rows =
        new ArrayList<>(draft.rows().subList(0, Math.min(SHOWN_ROWS, draft.rows().size())));
    if (grid) for (int i = 0; i < 4 || rows.size() < GRID_ROWS; i++) rows.add(Map.of());
    model.addAttribute("rows", rows);
    model.addAttribute("rowCount", draft.rows().size());
    model.addAttribute("grid", grid);
    model.addAttribute("proof", proof);
    model.addAttribute("faultCount", proof.faults().size());
    model.addAttribute("faults", shown(draft, proof.faults()));
    model.addAttribute("questions", shown(draft, proof.reading().notes()));
    model.addAttribute("questionsSeen", "seen".equals(draft.field("questions")));
    Map<String, Long> sums = new LinkedHashMap<>();
    proof
        .reading()
        .paper()
        .ifPresent(
            p -> {
              for (var line : ((OpeningStock) p).lines())
                sums.merge(
                    line.group().isEmpty() ? "No group named" : line.group(),
                    line.value(),
                    Math::addExact);
            });
    model.addAttribute("sums", sums);
    long total =
        proof.reading().rows().values().stream()
            .mapToLong(r -> r.amount() == null ? 0 : r.amount())
            .sum();
    model.addAttribute("total", total);
    model.addAttribute("sound", proof.sound());
  }

  private static List<FaultShown> shown(Draft draft, List<Fault> faults) {
    return faults.stream()
        .limit(SHOWN_FAULTS)
        .map(
            f -> {
              String[] parts = f.cell().split("\\.");
              int row = parts.length == 3 ? Integer.parseInt(parts[1]) + 1 : 0;
              return new FaultShown(
                  f.cell(),
                  row,
                  row == 0 ? "" : OpeningStockReader.columnWords(draft, f.cell()),
                  f.says());
            })
        .toList();
  }
}
