package zinctally.web.shell;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.resource.ResourceUrlProvider;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;

/** A page that needs neither book nor session, in place of one that cannot be made. */
@Component
public class PlainPage {
  private static final String STYLES = "/css/zinc.css";
  private final TemplateEngine templates;
  private final ObjectProvider<ResourceUrlProvider> files;

  PlainPage(TemplateEngine templates, ObjectProvider<ResourceUrlProvider> files) {
    this.templates = templates;
    this.files = files;
  }

  /** Writes the page. */
  public void say(
      String template, Map<String, Object> facts, HttpStatus status, HttpServletResponse response)
      throws IOException {
    response.setStatus(status.value());
    response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
    response.setHeader(
        "Content-Security-Policy", "default-src 'none'; style-src 'self'; font-src 'self'");
    response.setContentType(MediaType.TEXT_HTML_VALUE);
    response.setCharacterEncoding("UTF-8");
    Context page = new Context();
    page.setVariables(facts);
    // those of this build: browsers keep files for a year
    page.setVariable("styles", files.getObject().getForLookupPath(STYLES));
    templates.process(template, page, response.getWriter());
  }
}
