package zinctally.web.ask;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import zinctally.store.listing.ProveListings;
import zinctally.store.prove.AuditStore;
import zinctally.web.listing.AreaPage;
import zinctally.web.shell.NotThere;

/** One line of the audit trail with before and after, and all that ever happened to a thing. */
@Controller
class AuditController {
  private static final String LIST = "/ask/audit";
  private final AuditStore audit;
  private final AreaPage page;

  AuditController(AuditStore audit, AreaPage page) {
    this.audit = audit;
    this.page = page;
  }

  @GetMapping("/ask/audit/{id}")
  String line(@PathVariable long id, Model model, HttpServletRequest request) {
    AuditStore.Line line =
        audit.find(id).orElseThrow(() -> new NotThere("line " + id + " of the audit trail"));
    model.addAttribute("line", line);
    model.addAttribute("fields", BeforeAfter.of(line.before(), line.after()));
    page.tabs(LIST, model, request);
    return "ask/audit-line";
  }

  /** All that ever happened to one thing. */
  @GetMapping("/ask/audit/of/{subject}/{thing}")
  @Nullable String of(
      @PathVariable String subject,
      @PathVariable long thing,
      Model model,
      HttpServletRequest request,
      HttpServletResponse response) {
    model.addAttribute("heading", "All that happened to this " + subject);
    return page.under(LIST, ProveListings.auditOf(subject, thing), model, request, response);
  }
}
