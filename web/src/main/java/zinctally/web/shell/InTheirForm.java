package zinctally.web.shell;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.Principal;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import zinctally.core.number.Figures;
import zinctally.store.book.BookStore;

/** Every page is read and written with figures in the form of the person it is for. */
@Component
@Order(Ordered.LOWEST_PRECEDENCE)
class InTheirForm extends OncePerRequestFilter {
  private final BookStore books;

  InTheirForm(BookStore books) {
    this.books = books;
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return SameForAll.FILES.matches(request) || request.getUserPrincipal() == null;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    Principal who = request.getUserPrincipal();
    try {
      Figures.use(books.figuresOf(who.getName()));
      chain.doFilter(request, response);
    } finally {
      Figures.use(null);
    }
  }
}
