package zinctally.web.shell;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.FlashMap;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.support.RequestContextUtils;

/**
 * Where a form is refused and its page shown again, what was typed goes along, and the page puts it
 * back; passwords do not.
 */
@Component
class StillTyped implements HandlerInterceptor, WebMvcConfigurer {
  private static final int LONGEST = 4000;
  private static final Set<String> SECRET = Set.of("_csrf", "password");
  private static final String ONES_OWN = "/me"; // where passwords go by other names

  @Override
  public void addInterceptors(InterceptorRegistry interceptors) {
    interceptors.addInterceptor(this);
  }

  @Override
  public void postHandle(
      HttpServletRequest request,
      HttpServletResponse response,
      Object handler,
      @Nullable ModelAndView page) {
    FlashMap next = RequestContextUtils.getOutputFlashMap(request);
    if (next == null || !next.containsKey("wrong") || request.getRequestURI().startsWith(ONES_OWN))
      return;
    Map<String, List<String>> typed = new LinkedHashMap<>();
    request
        .getParameterMap()
        .forEach(
            (name, values) -> {
              if (!SECRET.contains(name)) typed.put(name, List.of(values));
            });
    int letters = typed.values().stream().flatMap(List::stream).mapToInt(String::length).sum();
    if (letters > LONGEST) return;
    next.put("refillIn", request.getRequestURI());
    next.put("refill", typed);
  }
}
