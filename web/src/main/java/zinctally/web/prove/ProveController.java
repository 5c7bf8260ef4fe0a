package zinctally.web.prove;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.store.book.BookStore;
import zinctally.store.prove.TieOut;
import zinctally.store.prove.TieOutStore;
import zinctally.web.listing.Asked;
import zinctally.web.picture.LinePicture;

/** Stock book against ledger. */
@Controller
class ProveController {
  private final TieOutStore tieOut;
  private final BookStore books;
  private final Clock clock;

  ProveController(TieOutStore tieOut, BookStore books, Clock clock) {
    this.tieOut = tieOut;
    this.books = books;
    this.clock = clock;
  }

  @GetMapping("/prove")
  String tieOut(
      @RequestParam(required = false) Long group, Model model, HttpServletRequest request) {
    Asked asked = new Asked(request, model, clock);
    LocalDate at = asked.date();
    Optional<LocalDateTime> known = asked.known();
    TieOut tie = new TieOut(tieOut.byGroup(at, known), tieOut.byAccount(at, known));
    List<TieOutStore.DayLine> days = tieOut.days(at);
    LocalDate first = books.book().cutOver();
    LocalDate last = at.isAfter(asked.today()) ? at : asked.today();
    model.addAttribute("first", first);
    model.addAttribute("last", last);
    model.addAttribute("lastDay", ChronoUnit.DAYS.between(first, last));
    model.addAttribute("day", Math.max(0, ChronoUnit.DAYS.between(first, at)));
    model.addAttribute("tie", tie);
    model.addAttribute("opened", group);
    model.addAttribute("items", group == null ? List.of() : tieOut.byItem(at, known, group));
    model.addAttribute("byHand", tieOut.byHand(at, "STOCK"));
    model.addAttribute("controls", known.isPresent() ? List.of() : tieOut.controls(at));
    model.addAttribute("days", days);
    long most = days.stream().mapToLong(d -> Math.max(d.book(), d.ledger())).max().orElse(0);
    long least = days.stream().mapToLong(d -> Math.min(d.book(), d.ledger())).min().orElse(0);
    long room = Math.max(1, (most - least) / 8);
    model.addAttribute(
        "bookLine",
        LinePicture.of(
            days.stream().map(TieOutStore.DayLine::book).toList(),
            least - room,
            most + room,
            760,
            120));
    model.addAttribute(
        "ledgerLine",
        LinePicture.of(
            days.stream().map(TieOutStore.DayLine::ledger).toList(),
            least - room,
            most + room,
            760,
            120));
    return request.getHeader("HX-Request") == null ? "prove/tie-out" : "prove/tie-parts :: parts";
  }
}
