package zinctally.web.people;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import org.springframework.http.HttpMethod;
import org.springframework.web.filter.OncePerRequestFilter;
import zinctally.store.Refused;
import zinctally.store.people.SignInTries;

/** Lets a try to sign in pass, or says how long it has to wait. */
public final class SignInDoor extends OncePerRequestFilter {
  public static final String PAGE = "/sign-in";

  /** Into a book from the house that has it. */
  public static final String LED = PAGE + "/led";

  private static final Duration CROWDED = Duration.ofSeconds(5);
  private final SignInTries tries;

  SignInDoor(SignInTries tries) {
    this.tries = tries;
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return !HttpMethod.POST.matches(request.getMethod()) || !request.getServletPath().equals(PAGE);
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    Duration wait = wait(tries, name(request), request);
    if (wait.isZero()) chain.doFilter(request, response);
    else response.sendRedirect(request.getContextPath() + PAGE + "?wait=" + (wait.toSeconds() + 1));
  }

  /** How long a try has to wait; a while also when so many try that it cannot be counted. */
  static Duration wait(SignInTries tries, String login, HttpServletRequest request) {
    try {
      return tries.begin(login, request.getRemoteAddr());
    } catch (Refused crowded) {
      return CROWDED;
    }
  }

  static String name(HttpServletRequest request) {
    String name = request.getParameter("username");
    return name == null ? "" : name;
  }
}
