package zinctally.web.shell;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.core.Ordered;
import org.springframework.security.authorization.method.PreAuthorizeAuthorizationManager;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.util.SimpleMethodInvocation;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Asks who may before anything of a request is read, by the rule that stands at its method: who may
 * not is told nothing of what would have been wrong with it.
 */
@Component
class RightsFirst implements HandlerInterceptor, WebMvcConfigurer {
  private final PreAuthorizeAuthorizationManager rules = new PreAuthorizeAuthorizationManager();

  @Override
  public void addInterceptors(InterceptorRegistry interceptors) {
    interceptors.addInterceptor(this).order(Ordered.HIGHEST_PRECEDENCE);
  }

  @Override
  public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object to) {
    if (to instanceof HandlerMethod method) {
      var asked =
          new SimpleMethodInvocation(method.createWithResolvedBean().getBean(), method.getMethod());
      var answer = rules.authorize(SecurityContextHolder.getContext()::getAuthentication, asked);
      May.must(answer == null || answer.isGranted());
    }
    return true;
  }
}
