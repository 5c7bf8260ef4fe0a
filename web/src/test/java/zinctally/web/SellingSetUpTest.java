package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** What stands on papers, and prices, as the owner sets them up; what is refused stays typed. */
class SellingSetUpTest extends OwnBookTest {
  private static byte[] png(int wide, int high) throws Exception {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(wide, high, BufferedImage.TYPE_INT_RGB), "png", out);
    return out.toByteArray();
  }

  private static void logo(byte[] bytes, String said) {
    page.setInputFiles("#logo", new FilePayload("logo.png", "image/png", bytes));
    page.focus("form:has(#logo) button");
    page.keyboard().press("Enter");
    page.waitForSelector("text=" + said);
  }

  @Test
  void a_logo_is_a_picture_of_a_fair_size() throws Exception {
    page.navigate(desk.address + "/setup/papers");
    logo("no picture".getBytes(StandardCharsets.UTF_8), "This is no picture");
    logo(png(3001, 10), "this one has 3001 by 10");
    logo(new byte[400_000], "at most 300 kB");
    assertThat(page.locator("text=Another logo").count()).isZero();
    logo(png(200, 80), "Another logo");
  }

  @Test
  void words_that_are_too_long_are_refused_and_stay_typed() {
    page.navigate(desk.address + "/setup/papers");
    page.evaluate("document.getElementById('header').removeAttribute('maxlength')");
    page.fill("#header", "x".repeat(501));
    page.focus("form:has(#header) button");
    page.keyboard().press("Enter");
    page.waitForSelector("text=The head has more than 500 letters");
    assertThat(page.inputValue("#header")).hasSize(501);
    assertThat(desk.sql().sql("select header from paper_look").query(String.class).list())
        .noneMatch(h -> h.startsWith("x"));
  }

  @Test
  void a_price_that_is_none_or_too_large_is_refused_and_stays_typed() {
    item("PRICED", "FIFO", "NONE");
    page.navigate(desk.address + "/sell/prices");
    page.click("text=Set a price");
    page.fill("input[name=item]", "PRICED");
    page.fill("input[name=least]", "24");
    page.fill("input[name=price]", "2,50 or so");
    page.keyboard().press("Enter");
    page.waitForSelector("text=is not a price");
    assertThat(page.inputValue("input[name=item]")).isEqualTo("PRICED");
    assertThat(page.inputValue("input[name=least]")).isEqualTo("24");
    assertThat(page.inputValue("input[name=price]")).isEqualTo("2,50 or so");
    page.fill("input[name=price]", "12345678901234567");
    page.keyboard().press("Enter");
    page.waitForSelector("text=12345678901234567\" is not a price");
    assertThat(desk.sql().sql("select count(*) from item_price").query(Long.class).single())
        .isZero();
  }

  /** 4.00 at cost and 60 % are 6.40, to 0.50 rounded 6.50; 0.01 less is 6.49. */
  @Test
  void many_prices_are_changed_by_keyboard_after_a_look_at_them() {
    item("MANY", "FIFO", "NONE");
    receive("MANY", "2026-02-01", "2", "4.00");
    page.navigate(desk.address + "/sell/prices/many");
    for (var cell :
        Map.of("percent", "60", "step", "0.50", "under", "0.01", "from", "1.1.2027").entrySet())
      page.fill("#" + cell.getKey(), cell.getValue());
    page.selectOption("#basis", "cost");
    page.focus("#percent");
    page.keyboard().press("Enter");
    page.waitForSelector("text=One price changes");
    assertThat(page.textContent("main")).contains("6.49");
    page.keyboard().press("Control+Enter");
    page.waitForURL(url -> !url.contains("/many"));
    assertThat(
            desk.sql()
                .sql("select concat(price + 0, ' ', from_date) from item_price")
                .query(String.class)
                .single())
        .isEqualTo("6.490000 2027-01-01");
  }
}
