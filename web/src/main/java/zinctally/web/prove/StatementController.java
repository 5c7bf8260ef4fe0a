package zinctally.web.prove;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import zinctally.core.statement.Beside;
import zinctally.core.statement.BookYear;
import zinctally.core.statement.Borne;
import zinctally.core.statement.Column;
import zinctally.core.statement.Known;
import zinctally.core.statement.Statement;
import zinctally.core.statement.Statements;
import zinctally.store.Audit;
import zinctally.store.OneMoment;
import zinctally.store.book.BookStore;
import zinctally.store.ledger.CentreStore;
import zinctally.store.seal.SealStore;
import zinctally.store.statement.BalancesStore;
import zinctally.store.statement.LayoutStore;
import zinctally.web.file.Download;
import zinctally.web.file.OnPaper;
import zinctally.web.listing.Address;
import zinctally.web.listing.Asked;
import zinctally.web.listing.HandedOut;
import zinctally.web.shell.AtDate;
import zinctally.web.shell.DaySpan;
import zinctally.web.shell.KnownAt;
import zinctally.web.shell.Say;

/** Profit and loss, balance sheet and cash flow. */
@Controller
class StatementController {
  private static final String KNOWN = "known";
  private static final String CENTRE = "centre";
  private final BalancesStore balances;
  private final LayoutStore layouts;
  private final CentreStore centres;
  private final BookStore books;
  private final StatementFiles files;
  private final HandedOut handedOut;
  private final Audit audit;
  private final OneMoment moment;
  private final SealStore seals;
  private final Say say;
  private final Clock clock;

  StatementController(
      BalancesStore balances,
      LayoutStore layouts,
      CentreStore centres,
      BookStore books,
      StatementFiles files,
      HandedOut handedOut,
      Audit audit,
      OneMoment moment,
      SealStore seals,
      Say say,
      Clock clock) {
    this.balances = balances;
    this.layouts = layouts;
    this.centres = centres;
    this.books = books;
    this.files = files;
    this.handedOut = handedOut;
    this.audit = audit;
    this.moment = moment;
    this.seals = seals;
    this.say = say;
    this.clock = clock;
  }

  @GetMapping("/prove/profit")
  @Nullable String profit(Model model, HttpServletRequest request, HttpServletResponse response)
      throws IOException {
    return span(Statements::profitAndLoss, true, model, request, response);
  }

  @GetMapping("/prove/cash")
  @Nullable String cash(Model model, HttpServletRequest request, HttpServletResponse response)
      throws IOException {
    return span(Statements::cashFlow, false, model, request, response);
  }

  @GetMapping("/prove/balance")
  @Nullable String balance(Model model, HttpServletRequest request, HttpServletResponse response)
      throws IOException {
    LocalDate at = AtDate.read(text(request, "to"), clock, model);
    model.addAttribute("to", at);
    LocalDate from = at.withDayOfMonth(1);
    Span span = new Span(from, at, "At the end of " + at, false, false);
    return show(Statements::balanceSheet, span, model, request, response);
  }

  private @Nullable String span(
      BiFunction<Statements, List<Column>, Statement> kind,
      boolean borne,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response)
      throws IOException {
    DaySpan days = new Asked(request, model, clock).days(layouts.year());
    String words = "From " + days.from() + " to " + days.to();
    Span span = new Span(days.from(), days.to(), words, true, borne && books.book().centres());
    return show(kind, span, model, request, response);
  }

  /**
   * What a statement is of.
   *
   * @param flows whether its figures are of days from and to
   * @param borne whether it can be divided by cost centres
   */
  private record Span(LocalDate from, LocalDate to, String words, boolean flows, boolean borne) {}

  private @Nullable String show(
      BiFunction<Statements, List<Column>, Statement> kind,
      Span span,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response)
      throws IOException {
    Optional<LocalDateTime> known = KnownAt.read(text(request, KNOWN), clock, model);
    Beside beside = beside(text(request, "beside"));
    BookYear year = layouts.year();
    Optional<Borne> borne =
        span.borne() ? Borne.of(text(request, CENTRE), centres.tree()) : Optional.empty();
    List<Column> columns =
        span.borne() && beside == Beside.CENTRES
            ? Beside.centres(span.from(), span.to(), borne, centres.tree()).stream()
                .map(c -> known.map(c::knownAt).orElse(c))
                .toList()
            : columns(beside, span, year, known).stream()
                .map(c -> borne.map(c::borneBy).orElse(c))
                .toList();
    Statement statement =
        moment.of(
            () -> kind.apply(new Statements(layouts.layout(), balances.balances(), year), columns));
    boolean compared = beside.comparable() || (beside == Beside.NOTHING && known.isPresent());
    List<String> facts = facts(span, borne, known, request);
    StatementFiles.Whole whole = new StatementFiles.Whole(statement, compared, span.flows(), facts);
    String as = text(request, "as");
    if (Download.FORMS.contains(as)) {
      OnPaper paper = OnPaper.read(request);
      handedOut.remember(statement.name() + ", " + span.words(), as, request);
      audit.write(
          request.getUserPrincipal().getName(),
          "export",
          0,
          statement.name() + " as " + as,
          String.join(". ", facts));
      Download.send(as, statement.name(), response, out -> files.write(as, whole, paper, out));
      return null;
    }
    model.addAttribute("statement", view(whole, request));
    model.addAttribute("beside", beside);
    model.addAttribute(
        "besides",
        Arrays.stream(Beside.values()).filter(b -> b != Beside.CENTRES || span.borne()).toList());
    model.addAttribute("centres", span.borne() ? centres.tree().inOrder() : List.of());
    model.addAttribute(CENTRE, borne.map(Borne::key).orElse(""));
    model.addAttribute(KNOWN, known.orElse(null));
    model.addAttribute("knownTyped", text(request, KNOWN));
    model.addAttribute(
        "since",
        known
            .map(k -> since(k, span.flows() ? span.from() : books.book().cutOver(), span.to()))
            .orElse(null));
    return "prove/statement";
  }

  /** What was entered since a moment and changes figures of these days. */
  private static String since(LocalDateTime known, LocalDate from, LocalDate to) {
    return new Address("/prove/since", Map.of())
        .with(KNOWN, Known.said(known))
        .with("from", from.toString())
        .with("to", to.toString())
        .toString();
  }

  /** As it was known, with what is known now beside it when nothing else is. */
  private static List<Column> columns(
      Beside beside, Span span, BookYear year, Optional<LocalDateTime> known) {
    List<Column> columns = new ArrayList<>();
    for (Column column : beside.columns(span.from(), span.to(), year)) {
      Column said =
          span.flows() || beside == Beside.MONTHS ? column : column.called(column.to().toString());
      columns.add(known.map(said::knownAt).orElse(said));
    }
    if (known.isPresent() && beside == Beside.NOTHING) {
      columns.add(0, beside.columns(span.from(), span.to(), year).get(0).called("As known now"));
      columns.add(columns.remove(1).called("As known then"));
    }
    return columns;
  }

  private List<String> facts(
      Span span, Optional<Borne> borne, Optional<LocalDateTime> known, HttpServletRequest request) {
    List<String> facts = new ArrayList<>();
    facts.add(span.words());
    borne.ifPresent(b -> facts.add("borne by " + b.words()));
    known.ifPresent(k -> facts.add("as it was known at " + say.moment(k)));
    LocalDate closed = books.book().closedTo();
    facts.add(
        closed != null && !span.to().isAfter(closed)
            ? "the period is closed"
            : "the period is open");
    seals.ofClosed(span.to()).ifPresent(s -> facts.add("seal " + s.no() + " " + s.hash()));
    facts.add(
        "made "
            + say.moment(LocalDateTime.now(clock))
            + " by "
            + request.getUserPrincipal().getName());
    facts.add(books.book().name() + ", " + books.book().coin().code());
    return facts;
  }

  private StatementView view(StatementFiles.Whole whole, HttpServletRequest request) {
    Map<String, String> exports = new LinkedHashMap<>();
    for (String form : Download.FORMS)
      exports.put(
          form.toUpperCase(Locale.ROOT), Address.here(request, "as").with("as", form).toString());
    return new StatementView(
        whole.statement().name(),
        whole.heads(),
        StatementView.rows(whole.statement(), whole.compared(), links(whole.flows()), say),
        whole.facts(),
        exports);
  }

  private StatementLinks links(boolean flows) {
    return new StatementLinks(flows, books.book().cutOver(), layouts.year());
  }

  private static Beside beside(String typed) {
    for (Beside beside : Beside.values()) if (beside.name().equals(typed)) return beside;
    return Beside.NOTHING;
  }

  private static String text(HttpServletRequest request, String name) {
    String value = request.getParameter(name);
    return value == null ? "" : value;
  }
}
