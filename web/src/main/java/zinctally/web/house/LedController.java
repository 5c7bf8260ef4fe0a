package zinctally.web.house;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.Set;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.store.house.InHouse;
import zinctally.store.house.KeyStore;
import zinctally.web.people.HalfIn;
import zinctally.web.people.SignInDoor;

/** Into a book from the house, with a ticket. A code is asked for as after a password. */
@Controller
@InHouse
class LedController {
  /** Where a browser may say that it comes from; a page of others must not sign anybody in. */
  private static final Set<String> OURS = Set.of("same-site", "same-origin");

  private final KeyStore keys;
  private final HalfIn halfIn;
  private final Addresses addresses;
  private final AuthenticationSuccessHandler in;

  LedController(
      KeyStore keys, HalfIn halfIn, Addresses addresses, AuthenticationSuccessHandler welcome) {
    this.keys = keys;
    this.halfIn = halfIn;
    this.addresses = addresses;
    this.in = welcome;
  }

  @GetMapping(SignInDoor.LED)
  void led(@RequestParam String by, HttpServletRequest request, HttpServletResponse response)
      throws IOException, ServletException {
    Optional<String> login =
        Optional.ofNullable(request.getHeader("Sec-Fetch-Site"))
            .filter(OURS::contains)
            .flatMap(from -> addresses.book(request))
            .flatMap(book -> keys.use(by, book))
            .filter(halfIn::mayEnter);
    if (login.isEmpty()) {
      response.sendRedirect(request.getContextPath() + SignInDoor.PAGE + "?led");
      return;
    }
    request.getSession();
    halfIn
        .then(in)
        .onAuthenticationSuccess(request, response, halfIn.in(request, response, login.get()));
  }
}
