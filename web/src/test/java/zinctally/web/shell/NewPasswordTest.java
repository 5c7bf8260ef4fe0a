package zinctally.web.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class NewPasswordTest {
  private static Optional<String> fault(String password) {
    return NewPassword.fault(password, "maren", "Maren Holt");
  }

  @Test
  void a_password_is_neither_short_nor_longer_than_its_hash_looks_at() {
    String long72 = "a few words ".repeat(6);
    assertThat(fault("short one")).isPresent();
    assertThat(fault("ten letter")).isEmpty();
    assertThat(fault(long72)).isEmpty();
    assertThat(fault(long72 + "a")).isPresent();
    assertThat(fault("\u05d0\u05d1\u05d2\u05d3\u05d4\u05d5".repeat(6) + "\u05d0")).isPresent();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "aaaaaaaaaa",
        "abababababab",
        "1234567890",
        "9876543210",
        "qwertyuiop",
        "Password123",
        "Password-2026!",
        "Maren Holt 1",
        "HoltHolt-99",
        "1q2w3e4r5t"
      })
  void what_is_guessed_first_is_refused(String password) {
    assertThat(fault(password)).hasValueSatisfying(says -> assertThat(says).contains("guessed"));
  }
}
