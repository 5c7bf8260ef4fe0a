package zinctally.web.shell;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class NewPasswordTest {
  @Test
  void a_password_is_neither_short_nor_longer_than_its_hash_looks_at() {
    assertThat(NewPassword.fault("short one")).isPresent();
    assertThat(NewPassword.fault("ten letter")).isEmpty();
    assertThat(NewPassword.fault("a".repeat(72))).isEmpty();
    assertThat(NewPassword.fault("a".repeat(73))).isPresent();
    assertThat(NewPassword.fault("\u05d0".repeat(37))).isPresent();
  }
}
