package zinctally.web.ask;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import zinctally.store.book.BookStore;
import zinctally.store.listing.GoodsListings;
import zinctally.store.listing.Listing;
import zinctally.store.listing.ProveListings;
import zinctally.store.listing.ValuationListings;
import zinctally.store.setup.PlaceStore;
import zinctally.web.listing.Area;
import zinctally.web.listing.Asked;
import zinctally.web.listing.ListPage;
import zinctally.web.listing.ListPage.Link;
import zinctally.web.shell.May;

/** Ready answers. */
@Configuration
class AskLists {
  @Bean
  @Order(7)
  Area askArea(BookStore books, PlaceStore places) {
    return Area.of(
        "ask",
        "Ask",
        ListPage.at("/ask/questions", "Questions")
            .known("own questions report builder ready answers margin slow dead stock expiring"),
        ListPage.at("/ask", "Valuation")
            .known("inventory value worth stock on hand at a date")
            .lists(a -> valuation(a, books)),
        ListPage.at("/ask/places", "What is where")
            .known("places locations on hand stock by place")
            .lists(a -> GoodsListings.placeStock(places.whereOurGoodsAre())),
        ListPage.at("/ask/reorder", "Under reorder point")
            .known("short low stock minimum")
            .lists(a -> GoodsListings.reorder())
            .more(new Link("What to order", "/buy/to-order")),
        ListPage.at("/ask/short", "Sold short")
            .known("negative stock oversold not come yet")
            .lists(a -> GoodsListings.uncovered()),
        ListPage.at("/ask/audit", "Audit trail")
            .known("who did what changes history log")
            .lists(a -> ProveListings.audit()),
        ListPage.at("/ask/outbox", "Outbox").known("mail sent schedule letters").only(May::own));
  }

  private static Listing valuation(Asked asked, BookStore books) {
    LocalDate at = asked.date();
    long before = ChronoUnit.DAYS.between(books.book().cutOver(), at);
    long since = ChronoUnit.DAYS.between(at, asked.today());
    return ValuationListings.valuation(at, since < before, asked.known());
  }
}
