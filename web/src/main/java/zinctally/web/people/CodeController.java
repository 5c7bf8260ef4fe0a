package zinctally.web.people;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Optional;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import zinctally.store.people.SecondStep;
import zinctally.store.people.SignInTries;

/** The code that is asked for after the password. */
@Controller
class CodeController {
  static final String PAGE = "/sign-in/code";
  private final HalfIn halfIn;
  private final SecondStep second;
  private final SignInTries tries;
  private final AuthenticationSuccessHandler in;

  CodeController(
      HalfIn halfIn, SecondStep second, SignInTries tries, AuthenticationSuccessHandler in) {
    this.halfIn = halfIn;
    this.second = second;
    this.tries = tries;
    this.in = in;
  }

  @GetMapping(PAGE)
  String ask(HttpServletRequest request) {
    return halfIn.who(request).isEmpty() ? "redirect:" + SignInDoor.PAGE : "people/code";
  }

  @PostMapping(PAGE)
  void check(
      @RequestParam(defaultValue = "") String code,
      HttpServletRequest request,
      HttpServletResponse response)
      throws IOException, ServletException {
    Optional<String> login = halfIn.who(request);
    if (login.isEmpty()) {
      response.sendRedirect(request.getContextPath() + SignInDoor.PAGE + "?late");
      return;
    }
    Duration wait = SignInDoor.wait(tries, login.get(), request);
    if (!wait.isZero()) {
      response.sendRedirect(request.getContextPath() + PAGE + "?wait=" + (wait.toSeconds() + 1));
    } else if (second.take(login.get(), code)) {
      in.onAuthenticationSuccess(request, response, halfIn.in(request, response, login.get()));
    } else {
      tries.wrong(login.get(), request.getRemoteAddr());
      response.sendRedirect(request.getContextPath() + PAGE + "?wrong");
    }
  }
}
