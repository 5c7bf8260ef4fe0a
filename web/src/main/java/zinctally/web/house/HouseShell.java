package zinctally.web.house;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import zinctally.store.house.InHouse;

/** From every page of a book a way back to where somebody's books are. */
@ControllerAdvice(annotations = Controller.class)
@InHouse
class HouseShell {
  private final Addresses addresses;

  HouseShell(Addresses addresses) {
    this.addresses = addresses;
  }

  @ModelAttribute
  void around(Model model, HttpServletRequest request) {
    model.addAttribute("yourBooks", addresses.ofHouse(request) + HouseController.PAGE);
  }
}
