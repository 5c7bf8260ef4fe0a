package zinctally.web.house;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockHttpServletRequest;

/** Which book a host means. */
class AddressesTest {
  private final Addresses addresses = new Addresses("Books.example.com");

  private static MockHttpServletRequest at(String host) {
    MockHttpServletRequest request = new MockHttpServletRequest("GET", "/goods");
    request.setServerName(host);
    request.setScheme("https");
    request.setServerPort(443);
    request.setQueryString("sort=code");
    return request;
  }

  @ParameterizedTest
  @CsvSource({
    "books.example.com, true, ''",
    "BOOKS.EXAMPLE.COM, true, ''",
    "wickmere.books.example.com, false, wickmere",
    "Wickmere.Books.example.com, false, wickmere",
    "a.b.books.example.com, false, a.b",
    "wickmerebooks.example.com, false, ''",
    "books.example.com.evil.org, false, ''",
    "example.com, false, ''",
    "127.0.0.1, false, ''"
  })
  void a_host_is_the_house_a_book_or_neither(String host, boolean house, String book) {
    assertThat(addresses.isHouse(at(host))).isEqualTo(house);
    assertThat(addresses.book(at(host)).orElse("")).isEqualTo(book);
  }

  @Test
  void an_address_is_as_it_was_reached_and_says_nothing_of_the_page() {
    assertThat(addresses.ofHouse(at("wickmere.books.example.com")))
        .isEqualTo("https://books.example.com");
    assertThat(addresses.ofBook(at("books.example.com"), "wax"))
        .isEqualTo("https://wax.books.example.com");
    MockHttpServletRequest local = at("books.example.com");
    local.setScheme("http");
    local.setServerPort(8710);
    assertThat(addresses.ofBook(local, "wax")).isEqualTo("http://wax.books.example.com:8710");
  }
}
