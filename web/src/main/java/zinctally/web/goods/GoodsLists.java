package zinctally.web.goods;

import java.util.List;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import zinctally.store.goods.ShelfStore;
import zinctally.store.listing.GoodsListings;
import zinctally.web.listing.Area;
import zinctally.web.listing.ListPage;
import zinctally.web.listing.ListPage.Link;
import zinctally.web.picture.ShelfPicture;
import zinctally.web.shell.Say;
import zinctally.web.shell.Sees;

/** The pages of goods. */
@Configuration
class GoodsLists {
  @Bean
  @Order(2)
  Area goodsArea(ShelfStore shelves, Sees sees, Say say) {
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
        ListPage.at("/goods/shelf", "The shelf")
            .known("where place standing damaged on hold whose location stock picture")
            .lists(a -> GoodsListings.shelf())
            .above(
                "goods/shelf",
                a -> Map.of("shelf", shelf(shelves, sees.by(a.request().getUserPrincipal()), say))),
        ListPage.at("/goods/lots", "Lots and serial numbers")
            .known("batches expiry trace recall")
            .lists(a -> GoodsListings.lots()),
        ListPage.at("/goods/what-if", "What if").known("method fifo average compare costing"));
  }

  private static ShelfPicture shelf(ShelfStore shelves, Sees.By by, Say say) {
    List<ShelfStore.Together> all = shelves.together();
    return by.costs()
        ? ShelfPicture.of(all, ShelfStore.Together::worth, 100, say::money)
        : ShelfPicture.of(
            all, ShelfStore.Together::items, 1, n -> n + (n == 1 ? " item" : " items"));
  }
}
