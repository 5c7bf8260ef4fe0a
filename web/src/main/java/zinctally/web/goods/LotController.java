package zinctally.web.goods;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import zinctally.store.goods.LotStore;
import zinctally.store.listing.BuyListings;
import zinctally.web.listing.AreaPage;
import zinctally.web.shell.NotThere;

/** Lots and serial numbers: the list, and the trace of each. */
@Controller
class LotController {
  private final LotStore lots;
  private final AreaPage page;

  LotController(LotStore lots, AreaPage page) {
    this.lots = lots;
    this.page = page;
  }

  @GetMapping("/goods/lots")
  String list(Model model, HttpServletRequest request, HttpServletResponse response) {
    return page.show(GoodsController.TABS, BuyListings.lots(), model, request, response);
  }

  @GetMapping("/goods/lot/{id:\\d+}")
  String trace(@PathVariable long id, Model model) {
    model.addAttribute("lot", lots.find(id).orElseThrow(() -> new NotThere("lot " + id)));
    return "goods/lot";
  }
}
