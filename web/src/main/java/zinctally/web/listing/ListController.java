package zinctally.web.listing;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Serves every list that the areas name. */
@Controller
class ListController {
  private final AreaPage pages;

  ListController(
      AreaPage pages,
      Areas areas,
      @Qualifier("requestMappingHandlerMapping") RequestMappingHandlerMapping mapping)
      throws NoSuchMethodException {
    this.pages = pages;
    var show =
        ListController.class.getDeclaredMethod(
            "show", Model.class, HttpServletRequest.class, HttpServletResponse.class);
    areas
        .places()
        .filter(p -> p.page().list().isPresent())
        .forEach(
            p ->
                mapping.registerMapping(
                    RequestMappingInfo.paths(p.page().address())
                        .methods(RequestMethod.GET)
                        .options(mapping.getBuilderConfiguration())
                        .build(),
                    this,
                    show));
  }

  @Nullable String show(Model model, HttpServletRequest request, HttpServletResponse response) {
    return pages.show(model, request, response);
  }
}
