package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.Method;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.context.annotation.ClassPathScanningCandidateComponentProvider;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.core.type.filter.AnnotationTypeFilter;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestMethod;

class RightsTest {
  private static final List<String> BEFORE_SIGN_IN =
      List.of("/first", "/new-password", "/sign-in/code");

  @Test
  void every_method_that_changes_something_says_who_may() {
    assertThat(changing()).hasSizeGreaterThan(50);
    assertThat(
            changing()
                .filter(m -> !AnnotatedElementUtils.hasAnnotation(m, PreAuthorize.class))
                .filter(m -> !BEFORE_SIGN_IN.containsAll(List.of(mapping(m).path()))))
        .isEmpty();
  }

  private static RequestMapping mapping(Method method) {
    return AnnotatedElementUtils.findMergedAnnotation(method, RequestMapping.class);
  }

  private static Stream<Method> changing() {
    ClassPathScanningCandidateComponentProvider controllers =
        new ClassPathScanningCandidateComponentProvider(false);
    controllers.addIncludeFilter(new AnnotationTypeFilter(Controller.class));
    return controllers.findCandidateComponents("zinctally.web").stream()
        .flatMap(c -> Arrays.stream(type(c.getBeanClassName()).getDeclaredMethods()))
        .filter(m -> mapping(m) != null)
        .filter(m -> !List.of(mapping(m).method()).equals(List.of(RequestMethod.GET)));
  }

  private static Class<?> type(String name) {
    try {
      return Class.forName(name);
    } catch (ClassNotFoundException gone) {
      throw new AssertionError(gone);
    }
  }
}
