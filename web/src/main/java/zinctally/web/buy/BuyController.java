package zinctally.web.buy;

import jakarta.servlet.http.HttpServletRequest;
import java.security.Principal;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.papers.PaperKind;
import zinctally.store.book.BookStore;
import zinctally.store.book.SetUp;
import zinctally.store.buy.OrderStore;
import zinctally.store.listing.Ask;
import zinctally.store.listing.OrderListings;
import zinctally.web.listing.ListingPage;
import zinctally.web.paper.Heads;
import zinctally.web.shell.SetsUp;

/** What is short is ordered. */
@Controller
class BuyController {
  private final SetUp setUp;
  private final OrderStore orders;
  private final ListingPage lists;
  private final BookStore books;
  private final Heads heads;

  BuyController(SetUp setUp, OrderStore orders, ListingPage lists, BookStore books, Heads heads) {
    this.setUp = setUp;
    this.orders = orders;
    this.lists = lists;
    this.books = books;
    this.heads = heads;
  }

  /** Drafts one order a supplier of all the list shows. */
  @SetsUp
  @PostMapping("/buy/to-order")
  String draftOrders(HttpServletRequest request, Principal who, RedirectAttributes after) {
    Ask ask = lists.ask(OrderListings.toOrder(books.book().coin()), request);
    List<Long> begun =
        setUp.alone(
            () -> orders.draftOrders(ask, heads.defaults(PaperKind.PURCHASE_ORDER), who.getName()));
    after.addFlashAttribute(
        "told",
        begun.isEmpty()
            ? "Nothing was drafted: all of it stands in drafts of orders already."
            : begun.size() == 1
                ? "One order is drafted; look at it and post it."
                : begun.size() + " orders are drafted, one for each supplier; they wait here.");
    return begun.size() == 1 ? "redirect:/drafts/" + begun.get(0) : "redirect:/";
  }
}
