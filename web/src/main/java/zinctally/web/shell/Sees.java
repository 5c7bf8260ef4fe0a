package zinctally.web.shell;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.server.PathContainer;
import org.springframework.stereotype.Component;
import org.springframework.util.NumberUtils;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
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
      patterns(
          "/prove/**",
          "/setup/accounts",
          "/setup/sections",
          "/setup/centres",
          "/setup/tax-boxes",
          "/day/**",
          "/ask/audit/**",
          "/ask/outbox");
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
          "/sell/map",
          "/sell/commission");

  /** Who counts sees how many there are, and not what they cost. */
  private static final List<PathPattern> COUNTING =
      patterns(
          "/handle/counts",
          "/handle/counts/*",
          "/handle/counts/*/scan",
          "/handle/counts/*/paste",
          "/handle/counts/*/print",
          "/handle/counts/*/lines/**");

  private static final List<PathPattern> OF_CHANGES =
      patterns("/papers/*/amend", "/papers/*/void/**");
  private static final String PAPER = "/papers/{id}";
  private static final String DRAFT = "/drafts/{id}";

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

  /**
   * What one person sees.
   *
   * @param given by the owner; everything for who does the books
   */
  public record By(RoleMay.Given given) {
    public boolean costs() {
      return given.costs();
    }

    /** Whether an address, or a pattern of some, is one that they come to. */
    public boolean page(String address) {
      return (given.changes() || !matches(OF_CHANGES, address))
          && (given.ledger() || !matches(OF_LEDGER, address))
          && (given.costs() || !matches(OF_COSTS, address) || matches(COUNTING, address));
    }

    /** Papers that are not about a customer tell what goods cost. */
    public boolean papers(PaperKind kind) {
      return given.costs() || kind.isWith(Party.Kind.CUSTOMER);
    }
  }

  /** What somebody in a role sees. */
  public By by(Person.Role role) {
    return new By(roles.of(role));
  }

  public By by(@Nullable Principal who) {
    return new By(roles.of(who == null ? Person.Role.READER : May.role(who)));
  }

  private static boolean matches(List<PathPattern> patterns, String address) {
    PathContainer path = PathContainer.parsePath(address);
    return patterns.stream().anyMatch(p -> p.matches(path));
  }

  /**
   * Asks by what the request was taken for, not by how its address was written: several ways of
   * writing lead to one page.
   */
  @Override
  public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object to) {
    // to ask who it is for reads the session, which files do without
    if (SameForAll.FILES.matches(request)) return true;
    Principal who = request.getUserPrincipal();
    if (who == null) return true;
    By by = by(who);
    String pattern =
        String.valueOf(request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE));
    May.must(
        by.page(pattern)
            && (by.costs() || kind(pattern, request).filter(k -> !by.papers(k)).isEmpty()));
    return true;
  }

  /** The kind of the paper or draft that an address is about. */
  private Optional<PaperKind> kind(String pattern, HttpServletRequest request) {
    boolean paper = pattern.startsWith(PAPER);
    if (!paper && !pattern.startsWith(DRAFT)) return Optional.empty();
    Map<?, ?> parts =
        (Map<?, ?>) request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
    try {
      // as the framework itself reads it
      long id = NumberUtils.parseNumber(String.valueOf(parts.get("id")), Long.class);
      return paper ? papers.kind(id) : drafts.kind(id);
    } catch (IllegalArgumentException noNumber) {
      return Optional.empty(); // and so is answered with nothing
    }
  }

  @Override
  public void addInterceptors(InterceptorRegistry interceptors) {
    interceptors.addInterceptor(this);
  }
}
