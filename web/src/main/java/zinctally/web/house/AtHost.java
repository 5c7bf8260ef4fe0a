package zinctally.web.house;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import zinctally.store.house.AtBook;
import zinctally.store.house.Hosted;
import zinctally.store.house.HouseStore;
import zinctally.store.house.InHouse;
import zinctally.web.shell.SameForAll;

/**
 * Leads every request to the book it is for, by the host it asks; to none when there is none.
 * Stands before all that asks a database, the session too.
 */
@Component
@InHouse
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class AtHost extends OncePerRequestFilter {
  /** What there is at the house; all else belongs to books. */
  private static final Pattern HOUSE =
      Pattern.compile("/(books|me|sign-in|sign-out|new-password|error|health|metrics)(/.*)?");

  /** What there is at the house alone; figures of the program are about all of its books. */
  private static final Pattern NO_BOOKS = Pattern.compile("/(books|metrics)(/.*)?");

  /** Where somebody has to get through even to a book that is full. */
  private static final Set<String> DOORS = Set.of("/sign-in", "/sign-out", "/sign-in/code");

  private static final Set<String> READS = Set.of("GET", "HEAD", "OPTIONS");
  private final Addresses addresses;
  private final HouseStore house;
  private final Shares shares;
  private final HousePage page;

  AtHost(Addresses addresses, HouseStore house, Shares shares, HousePage page) {
    this.addresses = addresses;
    this.house = house;
    this.shares = shares;
    this.page = page;
  }

  /** A page that says that something failed belongs to the same book. */
  @Override
  protected boolean shouldNotFilterErrorDispatch() {
    return false;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (SameForAll.FILES.matches(request)) {
      within(AtBook.HOUSE, request, response, chain);
      return;
    }
    if (addresses.isHouse(request) || request.getServletPath().equals("/health")) {
      if (HOUSE.matcher(request.getServletPath()).matches())
        within(AtBook.HOUSE, request, response, chain);
      else response.sendRedirect(HouseController.PAGE);
      return;
    }
    Optional<Hosted> book = addresses.book(request).filter(Hosted::fits).flatMap(house::find);
    if (book.isEmpty() || NO_BOOKS.matcher(request.getServletPath()).matches())
      page.nothing(response);
    else if (!book.get().open()) page.closed(book.get(), response);
    else led(book.get(), request, response, chain);
  }

  private void led(
      Hosted book, HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    try (AtBook.Stay stay = AtBook.go(book.database());
        Shares.Share share = shares.take(book)) {
      if (!share.given()) page.busy(book, response);
      else if (writes(request) && shares.full(book)) page.full(book, response);
      else chain.doFilter(request, response);
    }
  }

  private static boolean writes(HttpServletRequest request) {
    return !READS.contains(request.getMethod()) && !DOORS.contains(request.getServletPath());
  }

  private static void within(
      String database, HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    try (AtBook.Stay stay = AtBook.go(database)) {
      chain.doFilter(request, response);
    }
  }
}
