package zinctally.web.listing;

import jakarta.servlet.http.HttpServletRequest;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;
import zinctally.store.listing.Ask;
import zinctally.store.listing.Listing;
import zinctally.store.listing.ListingStore;
import zinctally.store.listing.Page;
import zinctally.web.file.Download;

/** Makes what the template of a list needs. */
@Component
class ListViews {
  private final ListingStore store;
  private final Cells cells;

  ListViews(ListingStore store, Cells cells) {
    this.store = store;
    this.cells = cells;
  }

  ListView of(
      Listing whole,
      Listing listing,
      Page page,
      Ask ask,
      Narrowing narrowing,
      HttpServletRequest request) {
    Address here = Address.of(request, ListingPage.OWN);
    String sort = ask.sort().isEmpty() ? listing.sort() : ask.sort();
    List<ListView.Head> heads =
        listing.shown().stream().map(c -> head(c, sort, here, narrowing.boxes(c))).toList();
    Map<String, String> kept = new LinkedHashMap<>(here.asked());
    kept.keySet().removeIf(k -> k.equals("filter") || k.equals("sort") || k.startsWith("in."));
    return new ListView(
        listing.name(),
        here.path(),
        ask.filter(),
        ListingPage.text(request, "sort"),
        kept,
        narrowing.any(),
        heads,
        ListChoices.columns(whole, listing),
        page.rows().stream().flatMap(row -> cells.rows(listing, ask.sort(), row).stream()).toList(),
        ask.after().isEmpty()
            ? cells.foot(
                listing, store.totals(listing, ask, page), listing.orderedAmong(ask.sort()))
            : null,
        // however the person sorts it meanwhile elsewhere, this list goes on as it began
        page.next() == null ? null : here.with("sort", sort).with("after", page.next()).toString(),
        listing.empty(),
        Download.FORMS.stream()
            .map(f -> new ListPage.Link(f.toUpperCase(Locale.ROOT), here.with("as", f).toString()))
            .toList());
  }

  private static ListView.Head head(
      Listing.Column column, String sort, Address here, List<Narrowing.Box> boxes) {
    boolean up = sort.equals(column.key());
    boolean down = sort.equals("-" + column.key());
    return new ListView.Head(
        column.heading(),
        column.drawn()
            ? null
            : here.with("sort", up ? "-" + column.key() : column.key())
                .with(ListChoices.KEEP, "sort")
                .toString(),
        column.type().figure(),
        up ? "ascending" : down ? "descending" : "none",
        boxes);
  }
}
