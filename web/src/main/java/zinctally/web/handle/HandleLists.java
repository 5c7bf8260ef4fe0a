package zinctally.web.handle;

import static zinctally.web.listing.Area.group;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import zinctally.core.papers.PaperKind;
import zinctally.store.count.CountListings;
import zinctally.store.count.CountListings.By;
import zinctally.store.listing.AwayListings;
import zinctally.store.listing.HandleListings;
import zinctally.store.listing.OrderListings;
import zinctally.store.make.RecipeListings;
import zinctally.web.listing.Area;
import zinctally.web.listing.Asked;
import zinctally.web.listing.ListPage;
import zinctally.web.listing.ListPage.Link;
import zinctally.web.shell.May;

/** The pages of what happens to goods between buying and selling. */
@Configuration
class HandleLists {
  @Bean
  @Order(5)
  Area handleArea() {
    return new Area(
        "handle",
        "Handle",
        List.of(
            group(
                "Adjustments",
                ListPage.at("/handle", "Adjustments")
                    .known("breakage shrinkage found lost waste")
                    .lists(a -> HandleListings.adjustments()),
                ListPage.at("/handle/write-downs", "Write-downs")
                    .known("net realisable value impairment obsolete")
                    .lists(a -> HandleListings.writeDowns()),
                ListPage.at("/handle/proposal", "Write-downs to propose")
                    .known("net realisable value slow")),
            group(
                "Counts",
                ListPage.at("/handle/counts", "Stock counts")
                    .known("stock take inventory sheet scan physical counting")
                    .lists(a -> CountListings.sheets())
                    .makes(new Link("Begin a count", "/handle/counts/new")),
                ListPage.at("/handle/differences", "Differences")
                    .known("count shrinkage loss surplus missing over")
                    .lists(a -> HandleListings.counted()),
                ListPage.at("/handle/agreement", "How counts agree")
                    .known("accuracy shrinkage by place group counter month")
                    .lists(a -> CountListings.agreement(by(a)))
                    .above("handle/agreement", a -> Map.of("by", by(a), "bys", By.values())),
                ListPage.at("/handle/due", "To count today")
                    .known("cycle count abc class due")
                    .lists(a -> CountListings.due())
                    .above("handle/due", a -> Map.of()),
                ListPage.at("/handle/counted", "Counted last")
                    .known("cycle count due not counted")
                    .lists(a -> CountListings.lastCounted())),
            group(
                "Making",
                ListPage.at("/handle/assemblies", "Assemblies")
                    .known("made kits build production recipe")
                    .lists(a -> HandleListings.assemblies()),
                ListPage.at("/handle/work-orders", "Work orders")
                    .known("to be made production jobs promised parts")
                    .lists(a -> OrderListings.workOrders())
                    .begins(PaperKind.WORK_ORDER),
                ListPage.at("/handle/disassemblies", "Disassemblies")
                    .known("taken apart split parts")
                    .lists(a -> HandleListings.disassemblies()),
                ListPage.at("/handle/recipes", "Recipes")
                    .known("bill of materials can be made missing kit")
                    .lists(a -> RecipeListings.recipes())
                    .begins(PaperKind.RECIPE),
                ListPage.at("/handle/uses", "What goes into what")
                    .known("where used component part recipe")
                    .lists(a -> RecipeListings.uses())),
            group(
                "Repairs",
                ListPage.at("/handle/repairs", "Out for repair")
                    .known("mend fix broken service repairer bench overdue")
                    .lists(a -> AwayListings.outForRepair())
                    .begins(PaperKind.REPAIR_OUT),
                ListPage.at("/handle/mended", "Back from repair")
                    .known("mended fixed scrap charge")
                    .lists(a -> HandleListings.mended()),
                ListPage.at("/handle/customers-goods", "Customers' goods")
                    .known("customer's own repair workshop taken in")
                    .lists(a -> AwayListings.toGiveBack())
                    .begins(PaperKind.TAKEN_IN, PaperKind.GIVEN_BACK),
                ListPage.at("/handle/taken-in", "Taken in and given back")
                    .known("customer's own repair history")
                    .lists(a -> HandleListings.customersGoods())),
            group(
                "Places",
                ListPage.at("/handle/transfers", "Transfers")
                    .known("move goods between places van on the way")
                    .lists(a -> HandleListings.transfers()),
                ListPage.at("/handle/on-the-way", "On the way")
                    .known("transit sent not received between places")
                    .lists(a -> AwayListings.onTheWay()),
                ListPage.at("/handle/arrivals", "Arrivals")
                    .known("transfer received came lost")
                    .lists(a -> HandleListings.arrivals()),
                ListPage.at("/handle/short", "Short at a place")
                    .known("minimum maximum refill restock what places are short of")
                    .lists(a -> HandleListings.wanting())
                    .above(
                        "handle/short",
                        a ->
                            Map.of(
                                "mayBring",
                                May.write(a.request().getUserPrincipal(), PaperKind.TRANSFER))))));
  }

  private static By by(Asked asked) {
    String word = asked.request().getParameter("by");
    return Stream.of(By.values()).filter(b -> b.word().equals(word)).findFirst().orElse(By.PLACE);
  }
}
