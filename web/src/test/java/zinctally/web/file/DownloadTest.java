package zinctally.web.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DownloadTest {
  /** The signs are those of OWASP's page on CSV injection, from memory. */
  @ParameterizedTest
  @ValueSource(strings = {"=1+1", "=1+1\nmore", "+1", "-1", "@SUM(A1)", "\t=1", "\r=1", "\n=1"})
  void what_a_spreadsheet_would_reckon_is_text(String typed) {
    assertThat(Download.harmless(typed)).isEqualTo("'" + typed);
  }

  @ParameterizedTest
  @ValueSource(strings = {"Smoker", "", "1-2", "a=b"})
  void other_text_stays_as_it_is(String typed) {
    assertThat(Download.harmless(typed)).isEqualTo(typed);
    assertThat(Download.harmless(new BigDecimal("-1"))).isEqualTo(new BigDecimal("-1"));
  }
}
