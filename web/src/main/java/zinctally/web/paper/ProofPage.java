package zinctally.web.paper;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Method;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Paper;
import zinctally.core.papers.Trait;
import zinctally.core.papers.read.Margin;
import zinctally.core.proof.Proof;
import zinctally.store.OneMoment;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.Catalogues;
import zinctally.store.paper.PaperStore;
import zinctally.store.paper.PaperText;
import zinctally.store.paper.SavedDraft;
import zinctally.store.posting.Proving;
import zinctally.web.paper.form.Forms;
import zinctally.web.paper.form.PaperForm;
import zinctally.web.shell.Say;

/** The proof beside a paper, in words. */
@Component
class ProofPage {
  private static final int MOST = 12;

  private static final int FAULTS = 40;

  private static final int ENTRIES = 3;

  private static final int LATER = 6;

  private final Proving proving;

  private final Catalogues catalogues;

  private final RowsBeside rows;

  private final PlacesBeside places;

  private final OpenBeside open;

  private final PaperStore papers;

  private final PaperText texts;

  private final LaterPapers laters;

  private final LedgerShown ledger;
  private final Say say;

  private final OneMoment moment;

  private final Forms forms;

  ProofPage(
      Proving proving,
      Catalogues catalogues,
      RowsBeside rows,
      PlacesBeside places,
      OpenBeside open,
      PaperStore papers,
      PaperText texts,
      LaterPapers laters,
      LedgerShown ledger,
      Say say,
      OneMoment moment,
      Forms forms) {
    this.forms = forms;
    this.proving = proving;
    this.catalogues = catalogues;
    this.rows = rows;
    this.places = places;
    this.open = open;
    this.papers = papers;
    this.texts = texts;
    this.laters = laters;
    this.ledger = ledger;
    this.say = say;
    this.moment = moment;
  }

  /**
   * What keeps a paper from being posted.
   *
   * @param open whether it is only not typed yet, and so is said quietly
   */
  record FaultShown(Fault fault, boolean open) {
    static FaultShown of(Fault fault, Draft draft) {
      return new FaultShown(fault, fault.question().isEmpty() && typed(fault, draft).isBlank());
    }

    private static String typed(Fault fault, Draft draft) {
      int row = fault.row();
      if (fault.cell().isEmpty()) return draft.rows().isEmpty() ? "" : "lines";
      if (row < 0) return draft.field(fault.cell());
      return row < draft.rows().size() ? draft.cell(row, fault.cell().split("\\.")[2]) : "";
    }
  }

  /** What a difference does: how much of it stays with goods here, how much goes to goods sold. */
  record Effect(String item, String all, String here, String sold) {}

  /** One item before and after. */
  record ShiftShown(
      long item,
      String code,
      String before,
      String after,
      String eachBefore,
      String eachAfter,
      List<String> draws) {}

  record Total(String label, String amount) {}

  /** The proof of a draft, as {@code login} would post it. */
  void show(SavedDraft saved, Draft draft, String login, Model model) {
    moment.of(() -> proved(saved, draft, login, model));
  }

  private Model proved(SavedDraft saved, Draft draft, String login, Model model) {
    BookCatalogue book = catalogues.amending(saved.amends());
    Proof proof = proving.prove(draft, book, login);
    model.addAttribute("proof", proof);
    Part part = model.getAttribute("part") instanceof Part shown ? shown : Part.WHOLE;
    model.addAttribute("part", part);
    List<FaultShown> faults =
        proof.faults().stream().limit(FAULTS).map(f -> FaultShown.of(f, draft)).toList();
    model.addAttribute("faults", faults);
    model.addAttribute(
        "allOpen", proof.faults().stream().allMatch(f -> FaultShown.of(f, draft).open()));
    notes(proof.reading().notes(), model);
    PaperForm form = forms.of(draft.kind());
    model.addAttribute("form", form);
    Optional<Draft> before =
        saved.amends() == 0
            ? Optional.empty()
            : Optional.of(texts.read(saved.amends(), saved.amendsVersion(), draft.kind()));
    model.addAttribute("rowsShown", rows.of(draft, before, proof.reading(), book, part));
    model.addAttribute("openItems", open.items(draft, book));
    model.addAttribute("laterHref", "/drafts/" + saved.id() + "/later");
    model.addAttribute("offers", open.offers(draft, book));
    model.addAttribute("draftId", saved.id());
    model.addAttribute(
        "filling", open.filling(draft, book).map(Filling.Offered::words).orElse(null));
    before.ifPresent(b -> model.addAttribute("changes", TextChange.between(b, draft, form)));
    proof.reading().paper().ifPresent(paper -> model.addAttribute("totals", totals(paper)));
    proof
        .reading()
        .paper()
        .filter(paper -> !paper.carried().isEmpty())
        .ifPresent(paper -> model.addAttribute("gone", places.of(paper, before, book)));
    model.addAttribute("toPay", proof.reading().toPay());
    if (draft.kind().is(Trait.BILLS) && saved.amends() == 0)
      proof.work().ifPresent(w -> model.addAttribute("effects", effects(w)));
    work(proof, book, model);
    return model;
  }

  private static void notes(List<Fault> notes, Model model) {
    int most = Math.min(MOST, notes.size());
    boolean costs = Boolean.TRUE.equals(model.getAttribute("seesCosts"));
    model.addAttribute(
        "notes",
        notes.subList(0, most).stream()
            .map(n -> costs ? n : new Fault(n.cell(), Margin.withoutCost(n.says())))
            .toList());
    model.addAttribute("moreNotes", notes.size() - most);
  }

  /** The proof of voiding a paper on a day. */
  void showVoid(long paper, LocalDate on, String login, Model model) {
    moment.of(() -> provedVoid(paper, on, login, model));
  }

  private Model provedVoid(long paper, LocalDate on, String login, Model model) {
    Proof proof = proving.proveVoid(paper, on, login);
    model.addAttribute("proof", proof);
    notes(List.of(), model);
    model.addAttribute("laterHref", "/papers/" + paper + "/void/later?on=" + on);
    work(proof, catalogues.open(), model);
    return model;
  }

  private void work(Proof proof, BookCatalogue book, Model model) {
    if (proof.work().isEmpty()) return;
    Proof.Work work = proof.work().get();
    model.addAttribute("onlyMoved", work.isNothing());
    Map<Long, PaperStore.PaperRef> refs = refs(work);
    List<Proof.Shift> moved =
        work.shifts().stream().filter(s -> work.reversals().isEmpty() || s.moves()).toList();
    model.addAttribute("shifts", shifts(moved, refs));
    model.addAttribute("moreShifts", Math.max(0, moved.size() - MOST));
    List<LedgerShown.EntryShown> entries = ledger.entries(work, book);
    int shown = work.reversals().isEmpty() ? 1 : ENTRIES;
    model.addAttribute("entries", entries.subList(0, Math.min(shown, entries.size())));
    model.addAttribute("moreEntries", Math.max(0, entries.size() - shown));
    model.addAttribute("takesBack", !work.reversals().isEmpty());
    model.addAttribute("later", laters.some(work, 0, LATER));
    model.addAttribute("laterCount", work.later().size());
    model.addAttribute("laterSums", laters.totals(work, book));
  }

  private List<Total> totals(Paper paper) {
    return paper.sums().stream()
        .map(
            sum ->
                new Total(
                    sum.rate() == null
                        ? sum.words()
                        : sum.words()
                            + " "
                            + say.percent(sum.rate().percent().stripTrailingZeros()),
                    say.money(sum.amount())))
        .toList();
  }

  /** What a bill's differences from its receipts do, item by item. */
  private List<Effect> effects(Proof.Work work) {
    Map<Long, Long> charged = new LinkedHashMap<>();
    for (Proof.StockEntry entry : work.entries())
      if (entry.event().kind() == EventKind.CHARGE)
        charged.merge(entry.item(), entry.value(), Math::addExact);
    Map<Long, Long> sold = new LinkedHashMap<>();
    for (Proof.Later later : work.later())
      if (later.event().kind() != EventKind.IN)
        sold.merge(later.item(), -later.difference(), Math::addExact);
    List<Effect> effects = new ArrayList<>();
    for (Proof.Shift shift : work.shifts()) {
      long all = charged.getOrDefault(shift.item().id(), 0L);
      if (all == 0) continue;
      long gone = sold.getOrDefault(shift.item().id(), 0L);
      effects.add(
          new Effect(
              shift.item().code(), say.change(all), say.change(all - gone), say.change(gone)));
    }
    return effects;
  }

  private Map<Long, PaperStore.PaperRef> refs(Proof.Work work) {
    List<Long> events = new ArrayList<>();
    work.shifts().stream()
        .limit(MOST)
        .flatMap(s -> s.draws().stream())
        .map(Proof.Draw::arrival)
        .filter(a -> a > 0)
        .forEach(events::add);
    return papers.ofEvents(events);
  }

  private List<ShiftShown> shifts(List<Proof.Shift> shifts, Map<Long, PaperStore.PaperRef> refs) {
    return shifts.stream()
        .limit(MOST)
        .map(
            s -> {
              Item item = s.item();
              List<String> draws =
                  s.draws().stream()
                      .limit(6)
                      .map(
                          d -> {
                            PaperStore.PaperRef from = refs.get(d.arrival());
                            return item.units().say(new Quantity(d.quantity()))
                                + (from != null
                                    ? " from " + from.number() + ", "
                                    : item.method() == Method.AVERAGE
                                        ? " at the average, "
                                        : " taken with it, ")
                                + say.money(d.value());
                          })
                      .toList();
              return new ShiftShown(
                  item.id(),
                  item.code(),
                  item.units().say(new Quantity(s.quantityBefore())),
                  item.units().say(new Quantity(s.quantityAfter())),
                  say.each(s.worthBefore(), s.quantityBefore()),
                  say.each(s.worthAfter(), s.quantityAfter()),
                  draws);
            })
        .toList();
  }
}
