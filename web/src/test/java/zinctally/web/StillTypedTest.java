package zinctally.web;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Forms of the set-up that are refused. */
class StillTypedTest extends OwnBookTest {
  @Test
  void a_refused_form_stands_as_it_was_typed_but_for_the_password() {
    page.navigate(desk.address + "/setup/people");
    String form = "form[action='/setup/people'] ";
    page.fill(form + "[name=login]", "x");
    page.fill(form + "[name=name]", "Ada Quill");
    page.fill(form + "[name=password]", "one that is long");
    page.selectOption(form + "[name=role]", "COUNTER");
    page.click(form + "button");
    page.waitForSelector(".wrong:has-text('two to sixty letters')");
    assertThat(page.inputValue(form + "[name=login]")).isEqualTo("x");
    assertThat(page.inputValue(form + "[name=name]")).isEqualTo("Ada Quill");
    assertThat(page.inputValue(form + "[name=role]")).isEqualTo("COUNTER");
    assertThat(page.inputValue(form + "[name=password]")).isEmpty();
    assertThat(page.content()).doesNotContain("one that is long");
  }

  @Test
  void a_refused_row_of_a_table_stands_as_it_was_typed_and_no_other() {
    page.navigate(desk.address + "/setup/people");
    String initials = "[aria-label='Initials of Bookkeeper']";
    page.fill(initials, "B4");
    page.uncheck("[aria-label='Bookkeeper may sign in']");
    page.locator("tr:has(td:text-is('bookkeeper')) button:has-text('Keep')").click();
    page.waitForSelector(".wrong:has-text('up to six letters')");
    assertThat(page.inputValue(initials)).isEqualTo("B4");
    assertThat(page.isChecked("[aria-label='Bookkeeper may sign in']")).isFalse();
    assertThat(page.inputValue("[aria-label='Initials of Owner']")).isEmpty();
    page.navigate(desk.address + "/setup/people");
    assertThat(page.isChecked("[aria-label='Bookkeeper may sign in']")).isTrue();
  }
}
