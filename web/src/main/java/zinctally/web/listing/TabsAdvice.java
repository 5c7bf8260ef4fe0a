package zinctally.web.listing;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import zinctally.web.shell.Sees;

/** Gives every page of an area its tabs. */
@ControllerAdvice(annotations = Controller.class)
class TabsAdvice {
  private final Areas areas;
  private final Sees sees;

  TabsAdvice(Areas areas, Sees sees) {
    this.sees = sees;
    this.areas = areas;
  }

  @ModelAttribute
  void tabs(Model model, HttpServletRequest request) {
    areas
        .find(request.getRequestURI())
        .ifPresent(
            p ->
                model.addAttribute(
                    "tabs",
                    Tabs.of(p, request.getUserPrincipal(), sees.by(request.getUserPrincipal()))));
  }
}
