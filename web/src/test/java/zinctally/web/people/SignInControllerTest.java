package zinctally.web.people;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockHttpServletRequest;

class SignInControllerTest {
  @ParameterizedTest
  @CsvSource({
    "127.0.0.1, 127.0.0.1, false",
    "::1, ::1, false",
    "192.0.2.5, 192.0.2.5, false",
    "192.0.2.9, 192.0.2.5, true",
    "192.0.2.9, 127.0.0.1, true",
  })
  void who_makes_the_first_sign_in_sits_at_the_machine(String from, String to, boolean elsewhere) {
    MockHttpServletRequest request = new MockHttpServletRequest();
    request.setRemoteAddr(from);
    request.setLocalAddr(to);
    assertThat(SignInController.fromElsewhere(request)).isEqualTo(elsewhere);
  }
}
