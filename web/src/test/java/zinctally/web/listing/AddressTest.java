package zinctally.web.listing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;

class AddressTest {
  private static MockHttpServletRequest asked() {
    MockHttpServletRequest request = new MockHttpServletRequest("GET", "/sell");
    request.setParameter("filter", "Pell & Wax = 5%");
    request.setParameter("sort", "");
    request.setParameter("as", "csv");
    return request;
  }

  @Test
  void whatever_is_typed_survives_in_an_address_and_what_is_empty_is_left_out() {
    Address here = Address.of(asked(), Set.of("as"));
    assertThat(here.toString()).isEqualTo("/sell?filter=Pell%20%26%20Wax%20%3D%205%25");
    assertThat(here.with("sort", "-date").toString())
        .isEqualTo("/sell?filter=Pell%20%26%20Wax%20%3D%205%25&sort=-date");
    assertThat(here.asked()).containsOnlyKeys("filter");
  }

  @Test
  void an_address_that_asks_nothing_is_its_path() {
    assertThat(Address.of(new MockHttpServletRequest("GET", "/buy"), Set.of()).toString())
        .isEqualTo("/buy");
  }
}
