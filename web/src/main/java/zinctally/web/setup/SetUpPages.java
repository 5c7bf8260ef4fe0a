package zinctally.web.setup;

import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import zinctally.web.listing.Area;
import zinctally.web.listing.ListPage;
import zinctally.web.shell.May;

/** The pages of setting up. */
@Configuration
class SetUpPages {
  @Bean
  @Order(8)
  Area setUpArea() {
    return new Area(
        "setup",
        "Set up",
        List.of(
            Area.group(
                "Book",
                ListPage.at("/setup", "Book")
                    .known("company name currency address approval settings numbers"),
                ListPage.at("/setup/people", "People")
                    .known("users roles passwords sign in")
                    .only(May::own),
                ListPage.at("/setup/personal", "Personal data")
                    .known(
                        "privacy erase delete forget gdpr retention data protection export person")
                    .only(May::own),
                ListPage.at("/setup/machine", "This machine")
                    .known("backup disk health database restore server")
                    .only(May::own),
                ListPage.at("/opening", "Opening")
                    .known("opening stock balances take over start import")),
            Area.group(
                "Ledger",
                ListPage.at("/setup/accounts", "Chart of accounts").known("ledger accounts"),
                ListPage.at("/setup/sections", "Statements")
                    .known("headings sections year begins layout of statements"),
                ListPage.at("/setup/centres", "Cost centres")
                    .known("branches departments projects dimensions"),
                ListPage.at("/setup/tax", "Tax rates").known("vat"),
                ListPage.at("/setup/tax-boxes", "Tax boxes").known("vat return boxes")),
            Area.group(
                "Goods",
                ListPage.at("/setup/groups", "Groups").known("categories item groups method"),
                ListPage.at("/setup/places", "Places").known("locations warehouses stores van"),
                ListPage.at("/setup/standings", "Standings")
                    .known("condition damaged on hold quarantine in service seconds"),
                ListPage.at("/setup/reasons", "Reasons").known("adjustment reasons breakage"),
                ListPage.at("/setup/return-reasons", "Return reasons").known("why returned")),
            Area.group(
                "Papers",
                ListPage.at("/setup/papers", "Papers")
                    .known("letterhead logo header footer invoice layout"))));
  }
}
