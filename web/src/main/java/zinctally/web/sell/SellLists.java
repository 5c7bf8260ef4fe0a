package zinctally.web.sell;

import static zinctally.web.listing.Area.group;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.store.listing.ConsignListings;
import zinctally.store.listing.CounterListings;
import zinctally.store.listing.OrderListings;
import zinctally.store.listing.PartyListings;
import zinctally.store.listing.PriceListings;
import zinctally.store.listing.SellListings;
import zinctally.store.sell.PriceStore;
import zinctally.web.listing.Area;
import zinctally.web.listing.ListPage;
import zinctally.web.listing.ListPage.Link;
import zinctally.web.parties.OwedByAge;
import zinctally.web.shell.May;
import zinctally.web.shell.Say;

/** The pages of selling. */
@Configuration
class SellLists {
  @Bean
  @Order(4)
  Area sellArea(Say say, OwedByAge ages, PriceStore prices) {
    return new Area(
        "sell",
        "Sell",
        List.of(
            group(
                "Counter",
                ListPage.at("/counter", "Counter").known("till shop cash register point of sale"),
                ListPage.at("/sell/counter", "Counter sales")
                    .known("receipts shop takings")
                    .lists(a -> CounterListings.sales()),
                ListPage.at("/sell/tills", "Tills")
                    .known("cash count takings float close till")
                    .lists(a -> CounterListings.tills()),
                ListPage.at("/sell/cards", "Card payments")
                    .known("reader declined")
                    .lists(a -> CounterListings.cards())),
            group(
                "Orders",
                ListPage.at("/sell/orders", "Sales orders")
                    .known("so ordered backorders")
                    .lists(a -> OrderListings.orders(PaperKind.SALES_ORDER)),
                ListPage.at("/sell/to-deliver", "To deliver")
                    .known("back orders ship waiting")
                    .lists(a -> SellListings.toDeliver())
                    .begins(PaperKind.DELIVERY),
                ListPage.at("/sell/picking", "Picking list")
                    .known("pick pack shelf")
                    .lists(a -> SellListings.picking())
                    .begins(PaperKind.DELIVERY),
                ListPage.at("/sell/deliveries", "Deliveries")
                    .known("shipped sent delivery notes")
                    .lists(a -> SellListings.deliveries())),
            group(
                "Invoices",
                ListPage.at("/sell", "Invoices")
                    .known("sales customers bills")
                    .lists(a -> SellListings.invoices()),
                ListPage.at("/sell/returns", "Returns")
                    .known("refunds credit notes exchanges brought back")
                    .lists(a -> SellListings.returns())),
            group(
                "Elsewhere and kept",
                ListPage.at("/sell/at-customers", "At customers")
                    .known("consignment out ours stall sale or return")
                    .lists(a -> ConsignListings.atCustomers())
                    .begins(PaperKind.CONSIGNMENT_OUT),
                ListPage.at("/sell/kept", "Kept for customers")
                    .known("bought and left here stored bill and hold collect")
                    .lists(a -> ConsignListings.kept())
                    .begins(PaperKind.HANDED_OVER)),
            group(
                "Being paid",
                ListPage.at("/sell/open", "Owed by customers")
                    .known("receivables open invoices due statement")
                    .lists(a -> PartyListings.open(Party.Kind.CUSTOMER))
                    .begins(PaperKind.CUSTOMER_PAYMENT),
                ages.page("/sell/age", Party.Kind.CUSTOMER, PaperKind.CUSTOMER_PAYMENT),
                ListPage.at("/sell/payments", "Payments")
                    .known("received money from customers")
                    .lists(a -> SellListings.payments()),
                ListPage.at("/sell/reminders", "Reminders")
                    .known("dunning overdue letters late")
                    .lists(a -> SellListings.reminders())
                    .above("sell/reminders", a -> Map.of())),
            group(
                "Customers",
                ListPage.at("/sell/customers", "Customers")
                    .known("clients statement of account")
                    .lists(a -> SellListings.customers())
                    .makes(new Link("New customer", "/sell/customer/new"))),
            group(
                "Prices",
                ListPage.at("/sell/prices", "Prices")
                    .known("price lists markup margin")
                    .lists(a -> PriceListings.prices(BigDecimal.TEN.pow(say.coin().digits())))
                    .above("sell/prices", a -> Map.of("lists", prices.lists())),
                ListPage.at("/sell/prices/many", "Change many")
                    .known("raise prices percent round")
                    .only(May::setUp)),
            group(
                "Figures",
                ListPage.at("/sell/sales", "Sales")
                    .known(
                        "margin profit cost of goods sold revenue turnover by item customer month"),
                ListPage.at("/sell/map", "What sells, what sleeps")
                    .known("turnover margin map slow dead stock best sellers scatter"),
                ListPage.at("/sell/commission", "Sold by whom")
                    .known("commission staff seller basis"))));
  }
}
