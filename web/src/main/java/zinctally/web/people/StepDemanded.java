package zinctally.web.people;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import org.springframework.http.HttpMethod;
import org.springframework.web.filter.OncePerRequestFilter;
import zinctally.web.shell.SameForAll;

/** Of whom a second step is demanded and who has none yet sets it up before anything else. */
final class StepDemanded extends OncePerRequestFilter {
  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    String path = request.getServletPath();
    return SameForAll.FILES.matches(request)
        || path.equals("/me")
        || path.startsWith("/me/")
        || path.equals("/sign-out")
        || path.equals("/error");
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    HttpSession session = request.getSession(false);
    if (session == null || session.getAttribute(HalfIn.DEMANDED) == null)
      chain.doFilter(request, response);
    else if (HttpMethod.GET.matches(request.getMethod()))
      response.sendRedirect(request.getContextPath() + SecondStepController.PAGE);
    else response.sendError(HttpServletResponse.SC_FORBIDDEN);
  }
}
