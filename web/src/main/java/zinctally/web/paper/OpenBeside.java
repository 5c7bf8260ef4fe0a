package zinctally.web.paper;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import zinctally.core.papers.Draft;
import zinctally.core.papers.Party;
import zinctally.core.papers.Trait;
import zinctally.store.book.BookCatalogue;
import zinctally.store.buy.OfferStore;
import zinctally.web.shell.Say;

/** What is open with the party of a paper, to be taken into it. */
@Component
class OpenBeside {
  private final OfferStore offers;
  private final List<Filling> fillings;
  private final Say say;

  OpenBeside(OfferStore offers, List<Filling> fillings, Say say) {
    this.offers = offers;
    this.fillings = fillings;
    this.say = say;
  }

  /**
   * Something open with the party of a payment.
   *
   * @param theirs their number, when it is another; else empty
   * @param plain what is open, as a cell wants it
   * @param credit whether it takes off what is to be paid
   */
  record OpenShown(
      String number, String theirs, String due, String plain, String amount, boolean credit) {}

  private static Optional<Party> party(Draft draft, BookCatalogue book) {
    return draft.kind().side().flatMap(side -> book.party(side, draft.party()));
  }

  /** Orders, receipts, bills and returns that wait for a paper of this kind. */
  List<OfferStore.Offer> offers(Draft draft, BookCatalogue book) {
    Set<String> taken = new HashSet<>();
    for (Map<String, String> row : draft.rows()) {
      taken.add(row.getOrDefault("of", "").strip());
      taken.add(row.getOrDefault("paper", "").strip());
    }
    return party(draft, book)
        .map(p -> offers.offers(draft.kind(), p.id()))
        .orElse(List.of())
        .stream()
        .filter(offer -> !taken.contains(offer.number()))
        .toList();
  }

  /** What an empty paper can be filled with. */
  Optional<Filling.Offered> filling(Draft draft, BookCatalogue book) {
    return fillings.stream().flatMap(f -> f.offered(draft, book).stream()).findFirst();
  }

  /** Bills or invoices that a payment can settle, and credit. */
  List<OpenShown> items(Draft draft, BookCatalogue book) {
    if (!draft.kind().is(Trait.PAYS)) return List.of();
    boolean paying = draft.kind().isWith(Party.Kind.SUPPLIER);
    return party(draft, book).stream()
        .flatMap(p -> book.openItems(p.id()).stream())
        .map(
            o ->
                new OpenShown(
                    o.name(),
                    o.number().equals(o.name()) ? "" : o.number(),
                    o.due().toString(),
                    say.plain(Math.abs(o.open())),
                    say.money(Math.abs(o.open())),
                    paying == o.open() > 0))
        .toList();
  }
}
