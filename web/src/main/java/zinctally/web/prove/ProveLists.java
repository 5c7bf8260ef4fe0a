package zinctally.web.prove;

import static zinctally.web.listing.Area.group;

import java.util.List;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.flow.Awaits;
import zinctally.store.book.BookStore;
import zinctally.store.listing.Listing;
import zinctally.store.listing.ProveListings;
import zinctally.store.listing.SealListings;
import zinctally.store.listing.StatementListings;
import zinctally.store.listing.TaxListings;
import zinctally.store.prove.TieOutStore;
import zinctally.store.statement.LayoutStore;
import zinctally.web.listing.Area;
import zinctally.web.listing.Asked;
import zinctally.web.listing.ListPage;
import zinctally.web.shell.DaySpan;

/** The pages of proof: stock book against ledger, the ledger itself, and what waits. */
@Configuration
class ProveLists {
  @Bean
  @Order(6)
  Area proveArea(TieOutStore tieOut, LayoutStore layouts, BookStore books) {
    return new Area(
        "prove",
        "Prove",
        List.of(
            group(
                "Tie-out",
                ListPage.at("/prove", "Tie-out").known("stock against ledger reconcile in step"),
                ListPage.at("/prove/bridge", "Where value went")
                    .known("bridge waterfall opening bought made sold lost closing stock value"),
                ListPage.at("/prove/check", "Check").known("verify replay faults whole book")),
            group(
                "Statements",
                ListPage.at("/prove/profit", "Profit and loss")
                    .known("income statement result revenue gross margin earnings p&l"),
                ListPage.at("/prove/balance", "Balance sheet")
                    .known("statement of financial position assets equity liabilities net worth"),
                ListPage.at("/prove/cash", "Cash flow")
                    .known("statement of cash flows indirect operating investing financing"),
                ListPage.at("/prove/accounts", "Trial balance")
                    .known("accounts balances statement movement opening closing")
                    .lists(a -> trialBalance(a, layouts))
                    .above("prove/span", a -> Map.of()),
                ListPage.at("/prove/handed-out", "Handed out")
                    .known("reports printed exported sent before remembered")
                    .lists(a -> StatementListings.handedOut()),
                ListPage.at("/prove/since", "What has changed since")
                    .known("late entries came later backdated restated")
                    .lists(a -> since(a, layouts))
                    .above("prove/since", a -> Map.of())),
            group(
                "Ledger",
                ListPage.at("/prove/journal", "Journal")
                    .known("entries postings debits credits")
                    .lists(a -> ProveListings.journal())
                    .begins(PaperKind.JOURNAL),
                ListPage.at("/prove/journal/lines", "Line by line")
                    .known("journal lines general ledger")
                    .lists(a -> ProveListings.journalLines(books.book().centres())),
                ListPage.at("/prove/by-hand", "Journals by hand")
                    .known("manual entries")
                    .lists(a -> ProveListings.byHand())
                    .begins(PaperKind.JOURNAL)),
            group(
                "What waits",
                waits("/prove/received", "Received, not billed", Awaits.RECEIVED_BILL, tieOut)
                    .known("receipts without bill accrual grni"),
                waits("/prove/billed", "Billed, not received", Awaits.BILLED_GOODS, tieOut)
                    .known("bills without goods in transit"),
                waits("/prove/sent", "Sent, not invoiced", Awaits.SENT_INVOICE, tieOut)
                    .known("deliveries without invoice"),
                waits("/prove/ahead", "Billed ahead", Awaits.INVOICED_GOODS, tieOut)
                    .known("invoices without goods deferred"),
                waits("/prove/consigned", "Owed for consigned goods", Awaits.CONSIGNED_SOLD, tieOut)
                    .known("consignment sold not settled")),
            group(
                "Tax",
                ListPage.at("/prove/tax", "Tax").known("vat sales tax report by rate"),
                ListPage.at("/prove/tax/return", "To declare")
                    .known("vat tax return boxes settle pay the office"),
                ListPage.at("/prove/tax/returns", "Returns")
                    .known("vat tax returns declared before")
                    .lists(a -> TaxListings.returns()),
                ListPage.at("/prove/tax/papers", "Papers with tax").known("vat papers")),
            group(
                "Periods",
                ListPage.at("/prove/periods", "Periods").known("close month reopen lock year end"),
                ListPage.at("/prove/periods/year", "Close the year")
                    .known("year end closing annual"),
                ListPage.at("/prove/seals", "Seals")
                    .known("tamper proof hash chain fingerprint")
                    .lists(a -> SealListings.seals())
                    .more(new ListPage.Link("Words that were changed", "/prove/seals/changes")),
                ListPage.at("/prove/seals/changes", "Changed words")
                    .known("sealed erased merged")
                    .lists(a -> SealListings.changes()))));
  }

  private static Listing trialBalance(Asked asked, LayoutStore layouts) {
    DaySpan days = asked.days(layouts.year());
    return StatementListings.trialBalance(days.from(), days.to(), asked.known());
  }

  private static Listing since(Asked asked, LayoutStore layouts) {
    DaySpan days = asked.days(layouts.year());
    return StatementListings.since(
        asked.known().orElse(asked.today().minusDays(7).atStartOfDay()), days.from(), days.to());
  }

  private static ListPage waits(String address, String tab, Awaits what, TieOutStore tieOut) {
    return ListPage.at(address, tab)
        .lists(a -> ProveListings.awaited(what, a.date()))
        .above(
            "prove/awaited",
            a ->
                Map.of(
                    "control",
                    tieOut.controls(a.date()).stream()
                        .filter(c -> c.role().equals(what.role().name()))
                        .findFirst()
                        .orElseThrow()));
  }
}
