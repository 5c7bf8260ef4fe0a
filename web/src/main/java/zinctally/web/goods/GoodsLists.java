package zinctally.web.goods;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import zinctally.store.listing.GoodsListings;
import zinctally.web.listing.Area;
import zinctally.web.listing.ListPage;
import zinctally.web.listing.ListPage.Link;

/** The pages of goods. */
@Configuration
class GoodsLists {
  @Bean
  @Order(2)
  Area goodsArea() {
    return Area.of(
        "goods",
        "Goods",
        ListPage.at("/goods", "Items")
            .known("products articles stock list")
            .lists(a -> GoodsListings.items())
            .makes(
                new Link("New item", "/goods/new"),
                new Link("Many in a table", "/goods/many"),
                new Link("Opening stock", "/opening")),
        ListPage.at("/goods/lots", "Lots and serial numbers")
            .known("batches expiry trace recall")
            .lists(a -> GoodsListings.lots()),
        ListPage.at("/goods/what-if", "What if").known("method fifo average compare costing"));
  }
}
