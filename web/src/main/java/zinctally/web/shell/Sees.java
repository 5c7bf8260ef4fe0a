package zinctally.web.shell;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.http.server.PathContainer;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.util.pattern.PathPattern;
import org.springframework.web.util.pattern.PathPatternParser;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.store.paper.DraftStore;
import zinctally.store.paper.PaperStore;
import zinctally.store.people.Person;
import zinctally.store.people.RoleMay;

/** What a person sees: who is not given costs or the ledger does not come to pages about them. */
@Component
public class Sees implements HandlerInterceptor, WebMvcConfigurer {
  private static final List<PathPattern> OF_LEDGER =
      patterns("/prove/**", "/setup/accounts", "/day/**", "/ask/audit");
  private static final List<PathPattern> OF_COSTS =
      patterns(
          "/buy/**",
          "/handle/**",
          "/opening/**",
          "/ask",
          "/day/**",
          "/goods/what-if",
          "/goods/many",
          "/goods/new",
          "/goods/item/*/change",
          "/goods/item/*/why",
          "/goods/item/*/movements",
          "/papers/*/why",
          "/papers/*/void/later",
          "/drafts/*/later",
          "/sell/sales/**",
          "/sell/commission");
  private static final List<PathPattern> OF_CHANGES =
      patterns("/papers/*/amend", "/papers/*/void/**");
  private static final Pattern OF_PAPER = Pattern.compile("/papers/(\\d+)(/.*)?");
  private static final Pattern OF_DRAFT = Pattern.compile("/drafts/(\\d+)(/.*)?");

  private final RoleMay roles;
  private final PaperStore papers;
  private final DraftStore drafts;

  Sees(RoleMay roles, PaperStore papers, DraftStore drafts) {
    this.roles = roles;
    this.papers = papers;
    this.drafts = drafts;
  }

  private static List<PathPattern> patterns(String... paths) {
    return List.of(paths).stream().map(PathPatternParser.defaultInstance::parse).toList();
  }

  public RoleMay.Given of(@Nullable Principal who) {
    return roles.of(who == null ? Person.Role.READER : May.role(who));
  }

  public boolean costs(@Nullable Principal who) {
    return of(who).costs();
  }

  /** Whether an address is one that a person comes to. */
  public boolean page(String address, @Nullable Principal who) {
    RoleMay.Given given = of(who);
    return given.equals(RoleMay.Given.ALL) || page(address, given);
  }

  private boolean page(String address, RoleMay.Given given) {
    return (given.changes() || !matches(OF_CHANGES, address))
        && (given.ledger() || !matches(OF_LEDGER, address))
        && (given.costs() || !matches(OF_COSTS, address) && !ofBuying(address));
  }

  private static boolean matches(List<PathPattern> patterns, String address) {
    PathContainer path = PathContainer.parsePath(address);
    return patterns.stream().anyMatch(p -> p.matches(path));
  }

  /** Papers that are not about a customer tell what goods cost. */
  private boolean ofBuying(String address) {
    Matcher paper = OF_PAPER.matcher(address);
    if (paper.matches())
      return papers.kind(Long.parseLong(paper.group(1))).filter(k -> !shown(k)).isPresent();
    Matcher draft = OF_DRAFT.matcher(address);
    return draft.matches()
        && drafts
            .find(Long.parseLong(draft.group(1)))
            .filter(d -> !shown(d.draft().kind()))
            .isPresent();
  }

  private static boolean shown(PaperKind kind) {
    return kind.isWith(Party.Kind.CUSTOMER);
  }

  @Override
  public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object to) {
    // to ask who it is for reads the session, which files do without
    if (SameForAll.FILES.matches(request)) return true;
    Principal who = request.getUserPrincipal();
    if (who != null) May.must(page(request.getRequestURI(), who));
    return true;
  }

  @Override
  public void addInterceptors(InterceptorRegistry interceptors) {
    interceptors.addInterceptor(this);
  }
}
