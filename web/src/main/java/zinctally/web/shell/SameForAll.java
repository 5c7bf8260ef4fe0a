package zinctally.web.shell;

import java.util.stream.Stream;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.OrRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;

/** Files that are the same for everybody: for them nobody is looked up in the database. */
public final class SameForAll {
  public static final RequestMatcher FILES =
      new OrRequestMatcher(
          Stream.of(
                  "/css/**",
                  "/js/**",
                  "/*/css/**",
                  "/*/js/**",
                  "/fonts/**",
                  "/webjars/**",
                  "/favicon.ico")
              .<RequestMatcher>map(PathPatternRequestMatcher::pathPattern)
              .toList());

  private SameForAll() {}
}
