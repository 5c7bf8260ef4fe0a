package zinctally.web.parties;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import tools.jackson.databind.json.JsonMapper;
import zinctally.store.Audit;
import zinctally.store.book.BookStore;
import zinctally.store.book.SetUp;
import zinctally.store.listing.PartyListings;
import zinctally.store.parties.MergeStore;
import zinctally.store.parties.MergeStore.Named;
import zinctally.store.parties.PersonStore;
import zinctally.store.parties.PersonStore.Part;
import zinctally.web.listing.AreaPage;
import zinctally.web.shell.NotThere;
import zinctally.web.shell.Owns;

/** What is kept about persons: for how long, handed out, and out of the book again. */
@Controller
class PersonalController {
  private static final String LIST = "/setup/personal";
  private static final int MOST_YEARS = 50;
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private final SetUp setUp;
  private final MergeStore parties;
  private final PersonStore persons;
  private final BookStore books;
  private final Audit audit;
  private final AreaPage page;
  private final Clock clock;

  PersonalController(
      SetUp setUp,
      MergeStore parties,
      PersonStore persons,
      BookStore books,
      Audit audit,
      AreaPage page,
      Clock clock) {
    this.setUp = setUp;
    this.parties = parties;
    this.persons = persons;
    this.books = books;
    this.audit = audit;
    this.page = page;
    this.clock = clock;
  }

  @Owns
  @GetMapping(LIST)
  @Nullable String list(Model model, HttpServletRequest request, HttpServletResponse response) {
    model.addAttribute("years", persons.keepYears());
    model.addAttribute("above", "parties/keep");
    return page.under(LIST, PartyListings.personal(), model, request, response);
  }

  @Owns
  @PostMapping(LIST)
  String keep(@RequestParam String years, Principal who, RedirectAttributes after) {
    Optional<Integer> read =
        Optional.of(years.strip())
            .filter(y -> y.matches("\\d{1,2}"))
            .map(Integer::valueOf)
            .filter(y -> y <= MOST_YEARS);
    if (read.isEmpty()) {
      after.addFlashAttribute(
          "wrong",
          "\""
              + years
              + "\" is no number of years; write a whole one from 0 to "
              + MOST_YEARS
              + ".");
      return "redirect:" + LIST;
    }
    return setUp.alone(
        () -> {
          String before = persons.keepYears() + " years";
          persons.keepYears(read.get());
          audit.write(who.getName(), "book", 1, "papers kept", before, read.get() + " years");
          after.addFlashAttribute("told", "Kept.");
          return "redirect:" + LIST;
        });
  }

  private Named party(long id) {
    return parties.find(id).orElseThrow(() -> new NotThere("party " + id));
  }

  @Owns
  @GetMapping("/parties/{id:\\d+}/personal")
  String show(@PathVariable long id, Model model) {
    Named party = party(id);
    if (party.into() != 0) return "redirect:/parties/" + party.into() + "/personal";
    PersonStore.State state = persons.state(id);
    model.addAttribute("party", party);
    model.addAttribute("card", MergeController.card(party));
    model.addAttribute("state", state);
    boolean kept = state.papersKept(LocalDate.now(clock));
    model.addAttribute("kept", kept);
    model.addAttribute(
        "parts",
        Arrays.stream(Part.values())
            .map(p -> new Shown(what(p), persons.count(p, id), when(p, kept, state.papersUntil())))
            .toList());
    model.addAttribute("refusal", persons.refusal(party).orElse(null));
    return "parties/personal";
  }

  /** A part of what is kept, how much of it there is, and when it is erased. */
  record Shown(String what, long entries, String when) {}

  private static String what(Part part) {
    return switch (part) {
      case CARD -> "Card: name, address, telephone, e-mail, notes, terms";
      case PAPERS -> "Papers, each version as it was typed";
      case OPEN -> "Bills, invoices, payments and what is open of them";
      case REMINDERS -> "Reminders";
      case DRAFTS -> "Drafts that are open";
      case CHANGES -> "Changes of the card: who, when, before and after";
    };
  }

  private static String when(Part part, boolean kept, @Nullable LocalDate until) {
    return switch (part) {
      case CARD -> kept ? "telephone, e-mail, other addresses, notes: now" : "whole: now";
      case PAPERS -> "name and address: " + (kept ? "after " + until : "now");
      case OPEN -> "never: figures, dates and numbers are the ledger's";
      case REMINDERS -> "the words: now";
      case DRAFTS -> "they are posted or thrown away first";
      case CHANGES -> "before and after: now; who and when stay";
    };
  }

  /** All that is kept about one, in an open form (JSON, RFC 8259), to be handed to them. */
  @Owns
  @GetMapping("/parties/{id:\\d+}/personal/file")
  ResponseEntity<byte[]> file(@PathVariable long id) {
    Named party = party(id);
    Map<String, Object> all = new LinkedHashMap<>();
    all.put("kept_by", books.book().name());
    all.put("currency", books.book().coin().code());
    all.put("made", LocalDate.now(clock).toString());
    all.put("papers_kept_until", String.valueOf(persons.state(id).papersUntil()));
    for (Part part : Part.values())
      all.put(part.name().toLowerCase(Locale.ROOT), persons.rows(part, id));
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_JSON)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(party.kind().field() + "-" + id + ".json")
                .build()
                .toString())
        .body(JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(all));
  }

  @Owns
  @PostMapping("/parties/{id:\\d+}/personal/erase")
  String erase(@PathVariable long id, Principal who, RedirectAttributes after) {
    return setUp.alone(
        () -> {
          Named party = party(id);
          Optional<String> refusal = persons.refusal(party);
          if (refusal.isPresent()) {
            after.addFlashAttribute("wrong", "Nothing was erased. " + refusal.get());
            return "redirect:/parties/" + id + "/personal";
          }
          persons.erase(party, who.getName());
          after.addFlashAttribute("told", "Erased.");
          return "redirect:/parties/" + id + "/personal";
        });
  }
}
