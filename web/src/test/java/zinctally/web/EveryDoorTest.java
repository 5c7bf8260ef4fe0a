package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.RequestOptions;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import zinctally.core.papers.Allowed;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person.Role;
import zinctally.store.people.RoleMay;

/** Every address there is, tried by everybody. */
class EveryDoorTest extends OwnBookTest {
  private static final String WORD = "a long enough word";
  private static final Set<String> OPEN = Set.of("/sign-in", "/first", "/new-password", "/error");
  private static final Map<Role, Page> PEOPLE = new TreeMap<>();

  @BeforeAll
  static void people() {
    String hash = desk.get(PasswordEncoder.class).encode(WORD);
    for (Role role : List.of(Role.COUNTER, Role.READER))
      desk.get(PeopleStore.class)
          .add(role.name().toLowerCase(java.util.Locale.ROOT), role.words(), hash, role);
    for (Role role : RoleMay.SAID_FOR)
      desk.get(RoleMay.class).give(role, RoleMay.Given.ALL, "owner");
    PEOPLE.put(Role.OWNER, page);
    for (Role role : List.of(Role.BOOKKEEPER, Role.COUNTER, Role.READER))
      PEOPLE.put(role, desk.signedIn(role.name().toLowerCase(java.util.Locale.ROOT), WORD));
  }

  /**
   * An address with what it takes.
   *
   * @param may who, by the rule that stands at its method; everybody when none does
   */
  private record Door(RequestMethod method, String path, Set<Role> may) {
    String at() {
      return desk.address + path;
    }

    boolean changes() {
      return method != RequestMethod.GET;
    }
  }

  private static List<Door> doors() {
    return doors("99999");
  }

  /**
   * @param id what stands for an id in an address
   */
  private static List<Door> doors(String id) {
    RequestMappingHandlerMapping all =
        (RequestMappingHandlerMapping) desk.bean("requestMappingHandlerMapping");
    return all.getHandlerMethods().entrySet().stream()
        .filter(m -> m.getValue().getBeanType().getName().startsWith("zinctally"))
        .flatMap(
            m ->
                m.getKey().getPatternValues().stream()
                    .flatMap(
                        path ->
                            m.getKey().getMethodsCondition().getMethods().stream()
                                .map(how -> new Door(how, real(path, id), may(m.getValue())))))
        .filter(door -> !OPEN.contains(door.path))
        .toList();
  }

  /** With something in the place of each variable. */
  private static String real(String path, String id) {
    StringBuilder real = new StringBuilder();
    int depth = 0;
    int from = 0;
    for (int at = 0; at < path.length(); at++) {
      char letter = path.charAt(at);
      if (letter == '{' && depth++ == 0) from = at + 1;
      else if (letter == '}' && --depth == 0) real.append(one(path.substring(from, at), id));
      else if (depth == 0) real.append(letter);
    }
    return real.toString();
  }

  /** What a variable may be: the first word of several, a month, or a number. */
  private static String one(String variable, String id) {
    if (variable.startsWith("month")) return "2026-01";
    String words = variable.substring(variable.indexOf(':') + 1);
    return words.contains("|") ? words.substring(0, words.indexOf('|')) : id;
  }

  private static Set<Role> may(HandlerMethod method) {
    PreAuthorize rule =
        AnnotatedElementUtils.findMergedAnnotation(method.getMethod(), PreAuthorize.class);
    if (rule == null || rule.value().contains("Authenticated")) return Set.of(Role.values());
    return Set.copyOf(
        Stream.of(Role.values()).filter(r -> rule.value().contains(r.name())).toList());
  }

  private static APIResponse tries(Page who, Door door) {
    String token = (String) who.evaluate("document.body.dataset.csrf");
    return who.request()
        .fetch(
            door.at(),
            RequestOptions.create()
                .setMethod(door.method.name())
                .setHeader("X-CSRF-TOKEN", token == null ? "" : token)
                .setMaxRedirects(0));
  }

  @Test
  void who_may_not_is_refused_and_who_may_is_not() {
    List<Door> doors = doors();
    assertThat(doors).hasSizeGreaterThan(150);
    PEOPLE.forEach(
        (role, window) -> {
          for (Door door : doors) {
            boolean may = door.may.contains(role);
            // what would change something is tried by those alone who may not
            if (door.changes() && may) continue;
            int status = tries(window, door).status();
            if (may) assertThat(status).as("%s %s", role, door).isLessThan(500).isNotEqualTo(403);
            else assertThat(status).as("%s %s", role, door).isEqualTo(403);
          }
        });
  }

  /** Else all that is refused above would be refused for its token, whoever sent it. */
  @Test
  void what_a_script_sends_with_its_token_is_taken() {
    Door door = new Door(RequestMethod.POST, "/handle/due/classes", Set.of());
    assertThat(tries(PEOPLE.get(Role.BOOKKEEPER), door).status()).isEqualTo(302);
    assertThat(tries(PEOPLE.get(Role.COUNTER), door).status()).isEqualTo(403);
    assertThat(
            page.request()
                .post(door.at(), RequestOptions.create().setHeader("X-CSRF-TOKEN", "none"))
                .status())
        .isEqualTo(403);
  }

  @Test
  void who_is_not_given_costs_comes_upon_none() {
    item("ODD", "FIFO", "SERIAL");
    receive("ODD", "2026-01-05", "2", "773.17", "numbers", "A1, A2");
    sell("2026-01-06", "ODD", "1", "numbers", "A1");
    assertThat(page.request().get(desk.address + "/goods").text()).contains("773.17");
    RoleMay roles = desk.get(RoleMay.class);
    roles.give(Role.COUNTER, new RoleMay.Given(false, false, Allowed.ALL, false), "owner");
    try {
      Page counter = PEOPLE.get(Role.COUNTER);
      assertThat(looksEverywhere(counter, "773.17", "1,546.34", "1546.34")).isGreaterThan(150);
      for (String shut :
          List.of("/buy", "/prove", "/handle", "/ask", "/goods/what-if", "/sell/sales"))
        assertThat(counter.request().get(desk.address + shut).status()).as(shut).isEqualTo(403);
      String bill =
          desk.sql()
              .sql("select max(id) from paper where kind = 'RECEIPT'")
              .query(String.class)
              .single();
      // however the number is written
      for (String written :
          List.of(bill, "+" + bill, "0" + bill, "%3" + bill.charAt(0) + bill.substring(1)))
        assertThat(counter.request().get(desk.address + "/papers/" + written).status())
            .as(written)
            .isNotEqualTo(200);
    } finally {
      roles.give(Role.COUNTER, RoleMay.Given.ALL, "owner");
    }
  }

  /** Asks for every page there is of everything there is, and returns how many came. */
  private static int looksEverywhere(Page who, CharSequence... never) {
    Set<String> ids = new TreeSet<>(List.of("1", "2", "3"));
    ids.addAll(desk.sql().sql("select id from item").query(String.class).list());
    ids.addAll(desk.sql().sql("select id from paper").query(String.class).list());
    int came = 0;
    for (String id : ids)
      for (Door door : doors(id))
        for (String as : door.changes() ? List.<String>of() : List.of("", "?as=csv", "?q=ODD")) {
          APIResponse answer = who.request().get(door.at() + as);
          String type = answer.headers().getOrDefault("content-type", "");
          if (answer.status() != 200 || !type.startsWith("text")) continue;
          came++;
          assertThat(answer.text()).as(door.path + as).doesNotContain(never);
        }
    return came;
  }

  @Test
  void who_has_not_signed_in_sees_and_changes_nothing() {
    Page nobody = desk.window();
    nobody.navigate(desk.address + "/sign-in");
    for (Door door : doors()) {
      APIResponse answer = tries(nobody, door);
      assertThat(answer.status()).as("%s", door).isIn(302, 303, 403);
      if (answer.status() != 403)
        assertThat(answer.headers().get("location")).as("%s", door).startsWith("/sign-in");
    }
    nobody.context().close();
  }

  @Test
  void no_answer_goes_where_a_foreign_host_says() {
    APIResponse answer =
        page.request()
            .get(
                desk.address + "/buy",
                RequestOptions.create().setHeader("Host", "elsewhere.example").setMaxRedirects(0));
    assertThat(answer.headers().getOrDefault("location", "/")).startsWith("/");
    assertThat(answer.text()).doesNotContain("elsewhere.example");
  }

  @Test
  void health_is_told_to_everybody_and_of_what_to_the_owner() {
    Page nobody = desk.window();
    assertThat(nobody.request().get(desk.address + "/health").text())
        .contains("\"status\":\"UP\"")
        .doesNotContain("backup");
    assertThat(page.request().get(desk.address + "/health").text())
        .contains(
            "\"status\":\"UP\"",
            "\"db\"",
            "\"diskSpace\"",
            "\"check\"",
            "\"backup\"",
            "\"waiting\":0");
    assertThat(page.request().get(desk.address + "/metrics").text())
        .contains("hikaricp_connections");
    assertThat(PEOPLE.get(Role.BOOKKEEPER).request().get(desk.address + "/metrics").status())
        .isEqualTo(403);
    nobody.context().close();
  }
}
