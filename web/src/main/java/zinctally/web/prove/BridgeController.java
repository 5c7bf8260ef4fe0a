package zinctally.web.prove;

import jakarta.servlet.http.HttpServletRequest;
import java.math.BigDecimal;
import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import zinctally.store.prove.BridgeStore;
import zinctally.store.statement.LayoutStore;
import zinctally.web.listing.Asked;
import zinctally.web.picture.ChartPicture;
import zinctally.web.shell.DaySpan;
import zinctally.web.shell.Say;

/** Where the value of stock came from, and went. */
@Controller
class BridgeController {
  private final BridgeStore bridges;
  private final LayoutStore layouts;
  private final Say say;
  private final Clock clock;

  BridgeController(BridgeStore bridges, LayoutStore layouts, Say say, Clock clock) {
    this.bridges = bridges;
    this.layouts = layouts;
    this.say = say;
    this.clock = clock;
  }

  /** Where the value of stock came from and went, from a day to a day. */
  @GetMapping("/prove/bridge")
  String bridge(Model model, HttpServletRequest request) {
    Asked asked = new Asked(request, model, clock);
    DaySpan days = asked.days(layouts.year());
    List<BridgeStore.Step> steps = bridges.bridge(days.from(), days.to());
    model.addAttribute("steps", steps);
    model.addAttribute(
        "picture",
        ChartPicture.bridge(
            steps.stream().map(BridgeStore.Step::words).toList(),
            steps.stream().map(s -> BigDecimal.valueOf(s.amount())).toList(),
            v -> say.money(v.longValue())));
    return "prove/bridge";
  }
}
