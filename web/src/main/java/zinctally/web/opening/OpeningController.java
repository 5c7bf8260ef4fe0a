package zinctally.web.opening;

import java.io.IOException;
import java.math.BigDecimal;
import java.security.Principal;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.number.Figures;
import zinctally.core.papers.Trait;
import zinctally.core.papers.opening.Sheet;
import zinctally.store.book.BookStore;
import zinctally.store.goods.GroupStore;
import zinctally.store.opening.OpeningStore;
import zinctally.store.opening.SheetReader;
import zinctally.store.paper.DraftStore;
import zinctally.store.setup.PlaceStore;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.SetsUp;

/** Taking over from the old books. */
@Controller
class OpeningController {
  private final OpeningStore opening;

  private final DraftStore drafts;

  private final PlaceStore places;

  private final GroupStore groups;

  private final BookStore books;

  OpeningController(
      OpeningStore opening,
      DraftStore drafts,
      PlaceStore places,
      GroupStore groups,
      BookStore books) {
    this.opening = opening;
    this.drafts = drafts;
    this.places = places;
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
    model.addAttribute("places", places.plain());
    List<OpeningStore.Line> stock =
        lines.stream().filter(l -> l.subject().startsWith("group:")).toList();
    model.addAttribute(
        "target", stock.stream().mapToLong(l -> l.target() == null ? 0 : l.target()).sum());
    model.addAttribute("explained", stock.stream().mapToLong(OpeningStore.Line::explained).sum());
    model.addAttribute(
        "drafts", drafts.open(50).stream().filter(d -> d.draft().kind().is(Trait.OPENS)).toList());
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
    String place = places.plain().stream().findFirst().orElse("");
    try {
      Sheet sheet = chosen(file) || !rows.isBlank() ? sheet(file, rows) : emptyGrid();
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
      return "redirect:/drafts/"
          + drafts.begin(sheet(file, rows).asOpeningBalances(), who.getName());
    } catch (SheetReader.Unreadable unreadable) {
      after.addFlashAttribute("wrong", unreadable.getMessage());
    } catch (IllegalArgumentException headings) {
      after.addFlashAttribute("wrong", headings.getMessage());
    }
    return "redirect:/opening";
  }

  private static boolean chosen(MultipartFile file) {
    return file != null
        && file.getOriginalFilename() != null
        && !file.getOriginalFilename().isEmpty();
  }

  /** The chosen file, else what was pasted. */
  private static Sheet sheet(MultipartFile file, String rows)
      throws IOException, SheetReader.Unreadable {
    return chosen(file)
        ? SheetReader.file(Objects.requireNonNull(file.getOriginalFilename()), file.getBytes())
        : SheetReader.text(rows);
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
}
