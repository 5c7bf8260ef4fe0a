package zinctally.web.people;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;
import zinctally.store.people.Person;
import zinctally.store.people.SecondStep;
import zinctally.store.people.SignInTries;

/**
 * Who has given a right password and is asked for a code still. Such a session is nobody's: it may
 * do no more than one that has not signed in.
 */
@Component
public class HalfIn {
  static final String DEMANDED = "second step demanded";
  private static final String WHO = "half in";
  private static final String SINCE = "half in since";
  private static final Duration LONGEST = Duration.ofMinutes(5);
  private final SecurityContextRepository contexts = new HttpSessionSecurityContextRepository();
  private final UserDetailsService people;
  private final SecondStep second;
  private final SignInTries tries;
  private final Clock clock;

  HalfIn(UserDetailsService people, SecondStep second, SignInTries tries, Clock clock) {
    this.people = people;
    this.second = second;
    this.tries = tries;
    this.clock = clock;
  }

  /** After a right password: in, or on to the code. */
  public AuthenticationSuccessHandler then(AuthenticationSuccessHandler in) {
    return (request, response, who) -> {
      if (second.isOn(who.getName())) wait(request, response, who);
      else enter(request, response, who, in);
    };
  }

  private void wait(HttpServletRequest request, HttpServletResponse response, Authentication who)
      throws IOException {
    tries.half(request.getRemoteAddr());
    SecurityContextHolder.clearContext();
    contexts.saveContext(SecurityContextHolder.createEmptyContext(), request, response);
    HttpSession session = request.getSession();
    session.setAttribute(WHO, who.getName());
    session.setAttribute(SINCE, clock.instant());
    response.sendRedirect(request.getContextPath() + CodeController.PAGE);
  }

  private void enter(
      HttpServletRequest request,
      HttpServletResponse response,
      Authentication who,
      AuthenticationSuccessHandler in)
      throws IOException, ServletException {
    if (second.demanded().stream().anyMatch(role -> hasRole(who, role)))
      request.getSession().setAttribute(DEMANDED, true);
    in.onAuthenticationSuccess(request, response, who);
  }

  private static boolean hasRole(Authentication who, Person.Role role) {
    return who.getAuthorities().stream()
        .anyMatch(a -> ("ROLE_" + role.name()).equals(a.getAuthority()));
  }

  /** Who is asked for a code in this session, and may still sign in. */
  Optional<String> who(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    if (session == null || !(session.getAttribute(SINCE) instanceof Instant since))
      return Optional.empty();
    if (since.plus(LONGEST).isBefore(clock.instant())) return Optional.empty();
    return Optional.of((String) session.getAttribute(WHO))
        .filter(login -> people.loadUserByUsername(login).isEnabled());
  }

  /** Whether a sign-in is there and may be used. */
  public boolean mayEnter(String login) {
    try {
      return people.loadUserByUsername(login).isEnabled();
    } catch (UsernameNotFoundException nobody) {
      return false;
    }
  }

  /** The code was right, or none is asked for; the session gets a new name. */
  public Authentication in(HttpServletRequest request, HttpServletResponse response, String login) {
    HttpSession session = request.getSession();
    session.removeAttribute(WHO);
    session.removeAttribute(SINCE);
    request.changeSessionId();
    UserDetails person = people.loadUserByUsername(login);
    Authentication who =
        UsernamePasswordAuthenticationToken.authenticated(person, null, person.getAuthorities());
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    context.setAuthentication(who);
    SecurityContextHolder.setContext(context);
    contexts.saveContext(context, request, response);
    return who;
  }
}
