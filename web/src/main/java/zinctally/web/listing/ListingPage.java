package zinctally.web.listing;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import zinctally.store.Audit;
import zinctally.store.OneMoment;
import zinctally.store.listing.Ask;
import zinctally.store.listing.ChoiceStore;
import zinctally.store.listing.Listing;
import zinctally.store.listing.ListingStore;
import zinctally.store.listing.Page;
import zinctally.web.file.Download;
import zinctally.web.file.OnPaper;
import zinctally.web.shell.DaySpan;
import zinctally.web.shell.Say;
import zinctally.web.shell.Sees;

/** Shows a listing on a page, or sends it as a file when the address asks for one. */
@Component
public class ListingPage {
  private static final int LONGEST = 300;
  private static final String TURN = "turn";

  /** In the model of a page whose columns and order are its own, whatever a person chose. */
  public static final String OWN_ORDER = "ownOrder";

  /** In the model: how a file is printed where the address does not say so. */
  public static final String ON_PAPER = "onPaper";

  /** In the model of a page that shows a list: its rows as they came, for who draws them. */
  public static final String ROWS = "rowsOfPage";

  /** What an address says of a page alone, and not of its list. */
  static final Set<String> OWN = Set.of("after", "as", TURN, ListChoices.KEEP, ListChoices.SHOWN);

  /** Milliseconds a file is waited for before a page says how many are before it. */
  private static final long PATIENCE = 10_000;

  /** So many wait without a page; more would take up what serves pages. */
  private static final int PATIENT = 16;

  private final ListingStore store;
  private final ListChoices choices;
  private final Cells cells;
  private final ListViews views;
  private final ListingFiles files;
  private final Turns turns;
  private final Say say;
  private final Clock clock;
  private final Sees sees;
  private final HandedOut handedOut;
  private final Audit audit;
  private final OneMoment moment;

  ListingPage(
      ListingStore store,
      ListChoices choices,
      Cells cells,
      ListViews views,
      ListingFiles files,
      Turns turns,
      Say say,
      Clock clock,
      Sees sees,
      HandedOut handedOut,
      Audit audit,
      OneMoment moment) {
    this.audit = audit;
    this.moment = moment;
    this.handedOut = handedOut;
    this.sees = sees;
    this.store = store;
    this.choices = choices;
    this.cells = cells;
    this.views = views;
    this.files = files;
    this.turns = turns;
    this.say = say;
    this.clock = clock;
  }

  /**
   * What an address asks of a listing; a page that does something with all that a list shows reads
   * it so.
   */
  public Ask ask(Listing listing, HttpServletRequest request) {
    return ask(request, narrowing(listing, request));
  }

  /**
   * A list at a glance, for a page that is about something else.
   *
   * @param more whether there are more rows
   */
  public record Glance(
      List<String> heads, List<Boolean> figures, List<Cells.Row> rows, boolean more) {}

  /** The first rows of a list, in its own order. */
  public Glance glance(Listing listing, int most) {
    List<Map<String, Object>> rows = store.page(listing, Ask.ALL).rows();
    return new Glance(
        listing.shown().stream().map(Listing.Column::heading).toList(),
        listing.shown().stream().map(c -> c.type().figure()).toList(),
        rows.stream().limit(most).map(r -> new Cells.Row(cells.row(listing, r), false)).toList(),
        rows.size() > most);
  }

  /** Where a list goes on that a page shows in its own way; empty at its end. */
  public Optional<String> next(Page page, HttpServletRequest request) {
    return Optional.ofNullable(page.next())
        .map(after -> Address.of(request, OWN).with("after", after).toString());
  }

  /** Whether a list is only to be shown: no choice is kept, and no file is written. */
  static boolean onlyReads(HttpServletRequest request) {
    return text(request, ListChoices.KEEP).isEmpty()
        && !Download.FORMS.contains(text(request, "as"));
  }

  private Narrowing narrowing(Listing listing, HttpServletRequest request) {
    return Narrowing.read(listing, request, say.coin(), LocalDate.now(clock));
  }

  private static Ask ask(HttpServletRequest request, Narrowing narrowing) {
    return new Ask(
        text(request, "filter"), narrowing.asked(), text(request, "sort"), text(request, "after"));
  }

  /**
   * Puts the view into the model as {@code list}; or writes a file and returns null for the view.
   *
   * @param template the page that shows the list; a request by htmx gets its parts alone
   */
  public @Nullable String show(
      Listing all,
      String template,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    Listing whole = sees.by(request.getUserPrincipal()).costs() ? all : all.withoutCosts();
    boolean own = model.containsAttribute(OWN_ORDER);
    Optional<Address> keeping = own ? Optional.empty() : choices.keep(whole, request);
    if (keeping.isPresent()) return "redirect:" + keeping.get();
    ChoiceStore.Choice choice = own ? ChoiceStore.Choice.NONE : choices.of(request);
    Listing listing = ListChoices.seen(whole, choice, request);
    Narrowing narrowing = narrowing(listing, request);
    Ask ask = ask(request, narrowing).orSort(choice.sort());
    String as = text(request, "as");
    if (Download.FORMS.contains(as))
      return file(
          as,
          listing.written(),
          ask,
          about(listing, ask, narrowing, model),
          model,
          request,
          response);
    moment.of(
        () -> {
          Page page = store.page(listing, ask);
          model.addAttribute(ROWS, page.rows());
          return model.addAttribute(
              "list", views.of(whole, listing, page, ask, narrowing, request));
        });
    if (request.getHeader("HX-Request") == null) return template;
    if (!ask.after().isEmpty()) return "listing/table :: rows";
    model.addAttribute("partly", true);
    return "listing/table :: parts";
  }

  /** Sends the file, or a page that says how many are before it and asks again. */
  private @Nullable String file(
      String as,
      Listing listing,
      Ask ask,
      ListingFiles.About about,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    String ticket = text(request, TURN);
    boolean asks = request.getHeader("HX-Request") != null;
    try {
      Turns.Turn turn =
          asks ? turns.look(ticket) : turns.take(ticket, turns.waiting() < PATIENT ? PATIENCE : 0);
      if (asks || !turn.now()) {
        model.addAttribute("turn", turn);
        model.addAttribute("title", about.name());
        model.addAttribute(
            "again", Address.of(request, Set.of(TURN)).with(TURN, turn.ticket()).toString());
        model.addAttribute("back", Address.of(request, OWN).toString());
        if (!asks) response.setStatus(HttpServletResponse.SC_ACCEPTED);
        return asks ? "listing/turn :: turn" : "listing/turn";
      }
      try {
        if (model.containsAttribute("knownTyped"))
          handedOut.remember(String.join(", ", said(about)), as, request);
        audit.write(
            request.getUserPrincipal().getName(),
            "export",
            0,
            about.name() + " as " + as,
            String.join(". ", about.facts()));
        files.send(as, listing, ask, about, onPaper(model, request), response);
      } finally {
        turns.done();
      }
      return null;
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  private static OnPaper onPaper(Model model, HttpServletRequest request) {
    return model.getAttribute(ON_PAPER) instanceof OnPaper kept ? kept : OnPaper.read(request);
  }

  private static List<String> said(ListingFiles.About about) {
    List<String> said = new ArrayList<>(List.of(about.name()));
    said.addAll(about.facts());
    return said;
  }

  /** What a file says of itself. */
  private ListingFiles.About about(Listing listing, Ask ask, Narrowing narrowing, Model model) {
    List<String> facts = new ArrayList<>();
    if (model.getAttribute("date") instanceof LocalDate date) facts.add("At the end of " + date);
    if (model.getAttribute("days") instanceof DaySpan days)
      facts.add("From " + days.from() + " to " + days.to());
    if (model.getAttribute("known") instanceof LocalDateTime known)
      facts.add("As it was known at " + say.moment(known));
    if (!ask.filter().isBlank()) facts.add("Only what holds \u201c" + ask.filter() + "\u201d");
    facts.addAll(narrowing.words());
    return new ListingFiles.About(
        model.getAttribute("heading") instanceof String heading ? heading : listing.name(), facts);
  }

  /** What an address says, no longer than anybody types. */
  static String text(HttpServletRequest request, String name) {
    String value = request.getParameter(name);
    if (value == null) return "";
    return value.length() > LONGEST ? value.substring(0, LONGEST) : value;
  }
}
