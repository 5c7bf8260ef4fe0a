package zinctally.web.buy;

import static zinctally.web.listing.Area.group;

import java.util.List;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.store.consign.ConsignStore;
import zinctally.store.listing.BuyListings;
import zinctally.store.listing.ConsignListings;
import zinctally.store.listing.OrderListings;
import zinctally.store.listing.PartyListings;
import zinctally.web.listing.Area;
import zinctally.web.listing.ListPage;
import zinctally.web.listing.ListPage.Link;
import zinctally.web.parties.OwedByAge;
import zinctally.web.shell.May;
import zinctally.web.shell.Say;

/** The pages of buying: from what is short to what is owed. */
@Configuration
class BuyLists {
  @Bean
  @Order(3)
  Area buyArea(Say say, OwedByAge ages, ConsignStore consigned) {
    return new Area(
        "buy",
        "Buy",
        List.of(
            group(
                "Orders",
                ListPage.at("/buy/to-order", "What to order")
                    .known("short reorder replenish suggest")
                    .lists(a -> OrderListings.toOrder(say.coin()))
                    .above(
                        "buy/to-order",
                        a ->
                            Map.of(
                                "mayOrder",
                                May.write(
                                    a.request().getUserPrincipal(), PaperKind.PURCHASE_ORDER)))
                    .begins(PaperKind.PURCHASE_ORDER),
                ListPage.at("/buy/experience", "From experience")
                    .known(
                        "reorder point suggestion forecast safety stock lead time days of cover"),
                ListPage.at("/buy/orders", "Purchase orders")
                    .known("po ordered coming expected approve")
                    .lists(a -> OrderListings.orders(PaperKind.PURCHASE_ORDER)),
                ListPage.at("/buy/repeating", "Repeating")
                    .known("recurring every month standing")
                    .lists(a -> BuyListings.repeating())),
            group(
                "Goods and bills",
                ListPage.at("/buy", "Bills")
                    .known("purchases supplier invoices vendor")
                    .lists(a -> BuyListings.bills()),
                ListPage.at("/buy/receipts", "Receipts")
                    .known("goods received arrived delivery from supplier")
                    .lists(a -> BuyListings.receipts()),
                ListPage.at("/buy/charges", "Charges")
                    .known("freight duty landed cost carriage")
                    .lists(a -> BuyListings.charges()),
                ListPage.at("/buy/returns", "Returns and credits")
                    .known("return to supplier credit note debit note")
                    .lists(a -> BuyListings.returns()),
                ListPage.at("/buy/returns/reasons", "Why returned")
                    .known("returns by reason and supplier defects")
                    .lists(a -> BuyListings.returnSums())
                    .more(new Link("line by line", "/buy/returns/lines"))),
            group(
                "Consignment",
                ListPage.at("/buy/consigned", "Consigned goods")
                    .known("goods of others keepers sale or return came sold here owed lost")
                    .lists(a -> ConsignListings.goods(a.date()))
                    .above(
                        "consign/consigned",
                        a ->
                            Map.of(
                                "due",
                                consigned.due(),
                                "maySettle",
                                May.write(a.request().getUserPrincipal(), PaperKind.SETTLEMENT)))
                    .begins(PaperKind.CONSIGNMENT_IN, PaperKind.CONSIGNMENT_BACK),
                ListPage.at("/buy/consigned/papers", "In and back")
                    .known("consignment arrived returned to owner")
                    .lists(a -> ConsignListings.movements()),
                ListPage.at("/buy/settlements", "Settlements")
                    .known("pay out consignors statement keepers")
                    .lists(a -> ConsignListings.settlements())
                    .begins(PaperKind.SETTLEMENT),
                ListPage.at("/buy/agreements", "Agreements")
                    .known("consignment terms share percent commission")
                    .lists(a -> ConsignListings.agreements())
                    .begins(PaperKind.AGREEMENT)),
            group(
                "Paying",
                ListPage.at("/buy/open", "Owed to suppliers")
                    .known("payables open bills due to pay")
                    .lists(a -> PartyListings.open(Party.Kind.SUPPLIER))
                    .begins(PaperKind.SUPPLIER_PAYMENT),
                ages.page("/buy/age", Party.Kind.SUPPLIER, PaperKind.SUPPLIER_PAYMENT),
                ListPage.at("/buy/payments", "Payments")
                    .known("paid suppliers remittance")
                    .lists(a -> BuyListings.payments())),
            group(
                "Suppliers",
                ListPage.at("/buy/suppliers", "Suppliers")
                    .known("vendors")
                    .lists(a -> BuyListings.suppliers())
                    .makes(new Link("New supplier", "/buy/supplier/new")))));
  }
}
