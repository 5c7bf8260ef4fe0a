package zinctally.web.handle;

import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import zinctally.core.papers.PaperKind;
import zinctally.store.listing.HandleListings;
import zinctally.web.listing.Area;
import zinctally.web.listing.ListPage;
import zinctally.web.shell.May;

/** The pages of what happens to goods between buying and selling. */
@Configuration
class HandleLists {
  @Bean
  @Order(5)
  Area handleArea() {
    return Area.of(
        "handle",
        "Handle",
        ListPage.at("/handle", "Adjustments")
            .known("breakage shrinkage found lost count stock take waste")
            .lists(a -> HandleListings.adjustments()),
        ListPage.at("/handle/transfers", "Transfers")
            .known("move goods between places van on the way")
            .lists(a -> HandleListings.transfers()),
        ListPage.at("/handle/short", "Short at a place")
            .known("minimum maximum refill restock what places are short of")
            .lists(a -> HandleListings.wanting())
            .above(
                "handle/short",
                a ->
                    Map.of(
                        "mayBring", May.write(a.request().getUserPrincipal(), PaperKind.TRANSFER))),
        ListPage.at("/handle/write-downs", "Write-downs")
            .known("net realisable value impairment obsolete")
            .lists(a -> HandleListings.writeDowns()),
        ListPage.at("/handle/proposal", "Write-downs to propose")
            .known("net realisable value slow"));
  }
}
