package zinctally.web.opening;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.math.BigDecimal;
import java.security.Principal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.number.Figures;
import zinctally.core.number.Form;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.opening.Column;
import zinctally.core.papers.opening.OpeningStock;
import zinctally.core.papers.opening.OpeningStockReader;
import zinctally.core.papers.opening.Sheet;
import zinctally.core.proof.Proof;
import zinctally.store.Refused;
import zinctally.store.book.BookStore;
import zinctally.store.goods.GroupStore;
import zinctally.store.opening.OpeningStore;
import zinctally.store.opening.SheetReader;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.SavedDraft;
import zinctally.store.posting.Posting;
import zinctally.store.posting.Progress;
import zinctally.store.posting.Proving;
import zinctally.store.setup.SetupStore;
import zinctally.web.paper.Windows;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.SetsUp;

/** Taking over from the old books. */
@Controller
class OpeningController {
  private static final int SHOWN_FAULTS = 200;
  private static final int SHOWN_ROWS = 200;
  private static final int GRID_ROWS = 12;
  private final OpeningStore opening;
  private final DraftStore drafts;
  private final Posting posting;
  private final Proving proving;
  private final Progress progress;
  private final SetupStore setup;
  private final GroupStore groups;
  private final BookStore books;

  OpeningController(
      OpeningStore opening,
      DraftStore drafts,
      Posting posting,
      Proving proving,
      Progress progress,
      SetupStore setup,
      GroupStore groups,
      BookStore books) {
    this.opening = opening;
    this.drafts = drafts;
    this.posting = posting;
    this.proving = proving;
    this.progress = progress;
    this.setup = setup;
    this.groups = groups;
    this.books = books;
  }

  @GetMapping("/opening")
  String opening(Model model) {
    List<OpeningStore.Line> lines = opening.lines();
    model.addAttribute("lines", lines);
    model.addAttribute("groups", groups.tree().inOrder());
    model.addAttribute("clearing", opening.clearing());
    model.addAttribute("posted", opening.posted());
    model.addAttribute("places", setup.places());
    List<OpeningStore.Line> stock =
        lines.stream().filter(l -> l.subject().startsWith("group:")).toList();
    model.addAttribute(
        "target", stock.stream().mapToLong(l -> l.target() == null ? 0 : l.target()).sum());
    model.addAttribute("explained", stock.stream().mapToLong(OpeningStore.Line::explained).sum());
    model.addAttribute(
        "drafts",
        drafts.open(50).stream()
            .filter(d -> d.draft().kind().name().startsWith("OPENING"))
            .toList());
    return "opening/opening";
  }

  @SetsUp
  @PostMapping("/opening/target")
  String target(
      @RequestParam String subject, @RequestParam String amount, RedirectAttributes after) {
    Optional<BigDecimal> read = amount.isBlank() ? Optional.empty() : Figures.read(amount);
    if (!subject.matches("group:\\d{1,15}|RECEIVABLES|PAYABLES")) throw new NotThere(subject);
    if (!amount.isBlank() && read.isEmpty()) {
      after.addFlashAttribute(
          "wrong", "\"" + amount + "\" is not a number; write it like 1234.50.");
      return "redirect:/opening";
    }
    try {
      opening.target(subject, read.map(books.book().coin()::minor));
    } catch (ArithmeticException tooFine) {
      after.addFlashAttribute(
          "wrong", amount + " is too long for an amount in " + books.book().coin().code() + ".");
    }
    return "redirect:/opening";
  }

  @SetsUp
  @PostMapping("/opening/stock")
  String begin(
      @RequestParam(required = false) MultipartFile file,
      @RequestParam(defaultValue = "") String rows,
      Principal who,
      RedirectAttributes after)
      throws IOException {
    String place = setup.places().stream().findFirst().orElse("");
    try {
      Sheet sheet;
      boolean chosen =
          file != null
              && file.getOriginalFilename() != null
              && !file.getOriginalFilename().isEmpty();
      if (chosen) sheet = SheetReader.file(file.getOriginalFilename(), file.getBytes());
      else if (!rows.isBlank()) sheet = SheetReader.text(rows);
      else sheet = emptyGrid();
      return "redirect:/opening/stock/" + drafts.begin(sheet.asOpeningStock(place), who.getName());
    } catch (SheetReader.Unreadable unreadable) {
      after.addFlashAttribute("wrong", unreadable.getMessage());
      after.addFlashAttribute("pasted", rows);
      return "redirect:/opening";
    }
  }

  /** Opening balances from a file or paste become a draft, to be looked over like any other. */
  @SetsUp
  @PostMapping("/opening/balances")
  String balances(
      @RequestParam(required = false) MultipartFile file,
      @RequestParam(defaultValue = "") String rows,
      Principal who,
      RedirectAttributes after)
      throws IOException {
    try {
      boolean chosen =
          file != null
              && file.getOriginalFilename() != null
              && !file.getOriginalFilename().isEmpty();
      Sheet sheet =
          chosen
              ? SheetReader.file(file.getOriginalFilename(), file.getBytes())
              : SheetReader.text(rows);
      return "redirect:/drafts/" + drafts.begin(sheet.asOpeningBalances(), who.getName());
    } catch (SheetReader.Unreadable unreadable) {
      after.addFlashAttribute("wrong", unreadable.getMessage());
    } catch (IllegalArgumentException headings) {
      after.addFlashAttribute("wrong", headings.getMessage());
    }
    return "redirect:/opening";
  }

  private static Sheet emptyGrid() {
    List<String> headings =
        List.of(
            "Code",
            "Name",
            "Group",
            "Unit",
            "Quantity",
            "Unit cost",
            "Total value",
            "Selling price");
    return new Sheet(headings, List.of());
  }

  private SavedDraft draft(long id) {
    SavedDraft sheet =
        drafts
            .find(id)
            .filter(d -> d.draft().kind() == PaperKind.OPENING_STOCK)
            .orElseThrow(() -> new NotThere("sheet " + id));
    Figures.use(sheet.draft().form());
    return sheet;
  }

  private static final String STALE =
      "This sheet was changed or posted in another window meanwhile; what was typed here is not"
          + " kept. Look at what is there now.";

  /** A fault with its place in words. */
  record FaultShown(String cell, int row, String column, String says) {}

  @GetMapping("/opening/stock/{id}")
  String sheet(@PathVariable long id, HttpServletRequest request, Model model, Principal who) {
    SavedDraft saved = draft(id);
    if (saved.posted()) return "redirect:/papers/" + saved.paper();
    show(saved, request, who.getName(), model);
    return "opening/stock";
  }

  private void show(SavedDraft saved, HttpServletRequest request, String who, Model model) {
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
    model.addAttribute("places", setup.places());
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

  /** Keeps matching, place and, for a short sheet, the cells themselves. */
  @SetsUp
  @PostMapping("/opening/stock/{id}")
  String keep(@PathVariable long id, HttpServletRequest request, Model model, Principal who) {
    SavedDraft saved = draft(id);
    if (saved.posted()) return "redirect:/papers/" + saved.paper();
    if (drafts
        .save(id, typed(saved.draft(), request), Windows.seen(request), who.getName())
        .isEmpty()) model.addAttribute("stale", STALE);
    show(draft(id), request, who.getName(), model);
    return request.getHeader("HX-Request") != null ? "opening/stock :: proof" : "opening/stock";
  }

  private static Draft typed(Draft draft, HttpServletRequest request) {
    Map<String, String> fields = new HashMap<>(draft.fields());
    List<String> columns = new ArrayList<>();
    int count = draft.fields().getOrDefault("columns", "").split(",", -1).length;
    for (int i = 0; i < count; i++) {
      String column = request.getParameter("column" + i);
      columns.add(column == null ? "" : column);
    }
    fields.put("columns", String.join(",", columns));
    if (request.getParameter("place") != null) fields.put("place", request.getParameter("place"));
    String figures = request.getParameter("figures");
    if (figures != null && !figures.equals(draft.field(Draft.FIGURES))) {
      fields.put(Draft.FIGURES, Form.of(figures).name());
      fields.put(Sheet.FORM_KNOWN, "yes");
    }
    fields.put("questions", "seen".equals(request.getParameter("questions")) ? "seen" : "");
    if (request.getParameter("grid") == null) return new Draft(draft.kind(), fields, draft.rows());
    Map<Integer, Map<String, String>> rows = new java.util.TreeMap<>();
    request
        .getParameterMap()
        .forEach(
            (name, values) -> {
              if (!name.matches("rows\\[\\d{1,4}]\\.c\\d{1,2}") || values[0].isBlank()) return;
              int row = Integer.parseInt(name.substring(5, name.indexOf(']')));
              rows.computeIfAbsent(row, r -> new HashMap<>())
                  .put(name.substring(name.indexOf('.') + 1), values[0]);
            });
    List<Map<String, String>> all = new ArrayList<>();
    int last = rows.keySet().stream().mapToInt(Integer::intValue).max().orElse(-1);
    for (int i = 0; i <= last; i++) all.add(rows.getOrDefault(i, Map.of()));
    return new Draft(draft.kind(), fields, all);
  }

  /** Percent of a posting that is done, for the bar that shows it. */
  @GetMapping("/opening/stock/{id}/progress")
  @ResponseBody
  String progress(@PathVariable long id) {
    return String.valueOf(progress.of(id));
  }

  @SetsUp
  @PostMapping("/opening/stock/{id}/post")
  String post(
      @PathVariable long id,
      HttpServletRequest request,
      Model model,
      Principal who,
      RedirectAttributes after) {
    SavedDraft saved = draft(id);
    Draft typed = typed(saved.draft(), request);
    Optional<SavedDraft> kept = drafts.save(id, typed, Windows.seen(request), who.getName());
    if (kept.isEmpty()) {
      boolean alike = saved.posted() && saved.draft().equals(typed);
      after.addFlashAttribute(alike ? "told" : "wrong", alike ? "Opening stock is in." : STALE);
      return alike ? "redirect:/opening" : "redirect:/opening/stock/" + id;
    }
    try {
      SavedDraft.Seen seen =
          new SavedDraft.Seen(kept.get().revision(), Windows.seen(request).window());
      posting.post(id, seen, who.getName());
      after.addFlashAttribute("told", "Opening stock is in.");
      return "redirect:/opening";
    } catch (Refused refused) {
      show(draft(id), request, who.getName(), model);
      return "opening/stock";
    }
  }
}
