package zinctally.web.paper;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import zinctally.core.goods.Item;
import zinctally.core.ledger.JournalLine;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Draft;
import zinctally.core.papers.OpenItem;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Reading;
import zinctally.core.papers.Trade;
import zinctally.core.proof.Proof;
import zinctally.core.units.Units;
import zinctally.store.book.BookCatalogue;
import zinctally.store.book.Catalogues;
import zinctally.store.goods.ItemStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.posting.Posting;
import zinctally.web.shell.Say;

/** The proof beside a paper, in words. */
@Component
class ProofPage {
  private static final int MOST = 12;
  private final Posting posting;
  private final Catalogues catalogues;
  private final ItemStore items;
  private final PaperStore papers;
  private final Say say;

  ProofPage(Posting posting, Catalogues catalogues, ItemStore items, PaperStore papers, Say say) {
    this.posting = posting;
    this.catalogues = catalogues;
    this.items = items;
    this.papers = papers;
    this.say = say;
  }

  /** Facts for the line table, filled in beside what was typed. */
  record RowShown(int row, String name, String unit, String amount, String free, String price) {}

  /** One item before and after. */
  record ShiftShown(
      long item,
      String code,
      String before,
      String after,
      String eachBefore,
      String eachAfter,
      List<String> draws) {}

  record AccountShown(String label, String debit, String credit) {}

  record EntryShown(String date, List<AccountShown> accounts, String total) {}

  record LaterShown(long paper, String number, String item, String difference, String date) {}

  record Total(String label, String amount) {}

  void show(Draft draft, Model model) {
    BookCatalogue book = catalogues.open();
    Proof proof = posting.prove(draft);
    model.addAttribute("proof", proof);
    model.addAttribute("notes", proof.reading().notes());
    model.addAttribute("rowsShown", rows(draft, proof.reading(), book));
    model.addAttribute("openItems", open(draft, book));
    proof
        .reading()
        .paper()
        .ifPresent(
            p -> {
              if (p instanceof Trade trade) model.addAttribute("totals", totals(trade));
            });
    proof
        .work()
        .ifPresent(
            work -> {
              Map<Long, PaperStore.PaperRef> refs = refs(work);
              model.addAttribute("shifts", shifts(work, refs));
              model.addAttribute("moreShifts", Math.max(0, work.shifts().size() - MOST));
              model.addAttribute("entries", entries(work, book));
              model.addAttribute("later", later(work, refs));
              model.addAttribute("moreLater", Math.max(0, work.later().size() - MOST));
              model.addAttribute(
                  "laterSum",
                  say.change(-work.later().stream().mapToLong(Proof.Later::difference).sum()));
            });
  }

  private List<Total> totals(Trade trade) {
    List<Total> totals = new ArrayList<>();
    totals.add(new Total("Without tax", say.money(trade.net())));
    trade
        .byRate()
        .forEach(
            (rate, tax) ->
                totals.add(
                    new Total(
                        rate.name() + " " + say.percent(rate.percent().stripTrailingZeros()),
                        say.money(tax))));
    totals.add(new Total("Total", say.money(trade.total())));
    return totals;
  }

  private List<RowShown> rows(Draft draft, Reading reading, BookCatalogue book) {
    List<Long> ids =
        reading.rows().values().stream()
            .map(Reading.RowFacts::item)
            .filter(id -> id > 0)
            .distinct()
            .toList();
    Map<Long, ItemStore.Free> free =
        items.free(ids, draft.field("place")).stream()
            .collect(Collectors.toMap(ItemStore.Free::item, f -> f));
    Map<Long, Item> known = book.items(ids);
    List<RowShown> shown = new ArrayList<>();
    reading
        .rows()
        .forEach(
            (row, facts) -> {
              Item item = known.get(facts.item());
              String here = "";
              if (item != null && item.stocked()) {
                ItemStore.Free f =
                    free.getOrDefault(item.id(), new ItemStore.Free(item.id(), 0, 0));
                here = item.units().say(new Quantity(f.here()));
                if (f.everywhere() > f.here())
                  here +=
                      " +"
                          + item.units().say(new Quantity(f.everywhere() - f.here()))
                          + " elsewhere";
              }
              shown.add(
                  new RowShown(
                      row,
                      facts.name(),
                      facts.unit(),
                      say.money(facts.amount()),
                      here,
                      item == null ? "" : usualPrice(draft.kind(), item, facts.unit())));
            });
    return shown;
  }

  /**
   * What a price cell left empty is offered: the first price list's, or the latest cost, for the
   * unit shown.
   */
  private String usualPrice(PaperKind kind, Item item, String unit) {
    Quantity size =
        item.units().shown().stream()
            .filter(u -> u.sign().equals(unit))
            .map(Units.Shown::size)
            .findFirst()
            .orElse(item.units().baseShown().size());
    return switch (kind) {
      case INVOICE ->
          items
              .price(item.id())
              .map(p -> p.multiply(size.decimal()).stripTrailingZeros().toPlainString())
              .orElse("");
      case BILL ->
          catalogues
              .open()
              .latestCost(item.id())
              .map(c -> say.each(c.value(), c.micros(), size.micros()))
              .orElse("");
      default -> "";
    };
  }

  private List<OpenItem> open(Draft draft, BookCatalogue book) {
    boolean paying = draft.kind() == PaperKind.SUPPLIER_PAYMENT;
    if (!paying && draft.kind() != PaperKind.CUSTOMER_PAYMENT) return List.of();
    Party.Kind kind = paying ? Party.Kind.SUPPLIER : Party.Kind.CUSTOMER;
    return book.party(kind, draft.field(paying ? "supplier" : "customer")).stream()
        .flatMap(p -> book.openItems(p.id()).stream())
        .filter(o -> paying ? o.open() < 0 : o.open() > 0)
        .toList();
  }

  private Map<Long, PaperStore.PaperRef> refs(Proof.Work work) {
    List<Long> events = new ArrayList<>();
    work.shifts().stream()
        .limit(MOST)
        .flatMap(s -> s.draws().stream())
        .map(Proof.Draw::arrival)
        .filter(a -> a > 0)
        .forEach(events::add);
    work.later().stream().limit(MOST).map(l -> l.event().id()).forEach(events::add);
    return papers.ofEvents(events);
  }

  private List<ShiftShown> shifts(Proof.Work work, Map<Long, PaperStore.PaperRef> refs) {
    return work.shifts().stream()
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
                                + (from == null
                                    ? " at the average, "
                                    : " from " + from.number() + ", ")
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

  private List<EntryShown> entries(Proof.Work work, BookCatalogue book) {
    return work.journals().stream()
        .limit(MOST)
        .map(
            j -> {
              Map<Long, long[]> sums = new LinkedHashMap<>();
              for (JournalLine line : j.lines())
                sums.computeIfAbsent(line.account(), k -> new long[2])[line.amount() > 0 ? 0 : 1] +=
                    Math.abs(line.amount());
              List<AccountShown> accounts =
                  sums.entrySet().stream()
                      .map(
                          e ->
                              new AccountShown(
                                  book.account(e.getKey()).name(),
                                  say.quiet(e.getValue()[0]),
                                  say.quiet(e.getValue()[1])))
                      .toList();
              return new EntryShown(j.date().toString(), accounts, say.money(j.turnover()));
            })
        .toList();
  }

  private List<LaterShown> later(Proof.Work work, Map<Long, PaperStore.PaperRef> refs) {
    Map<Long, String> codes = new HashMap<>();
    work.shifts().forEach(s -> codes.put(s.item().id(), s.item().code()));
    return work.later().stream()
        .limit(MOST)
        .map(
            l -> {
              PaperStore.PaperRef ref = refs.get(l.event().id());
              return new LaterShown(
                  ref.id(),
                  ref.number(),
                  codes.get(l.item()),
                  say.change(-l.difference()),
                  l.postingDate().toString());
            })
        .toList();
  }
}
