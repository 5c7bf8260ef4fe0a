package zinctally.store.opening;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.dhatim.fastexcel.Workbook;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.papers.opening.Sheet;

class SheetReaderTest {
  private static void refused(ThrowingCallable reading, String says) {
    assertThatThrownBy(reading)
        .isInstanceOf(SheetReader.Unreadable.class)
        .hasMessageContaining(says);
  }

  @ParameterizedTest
  @CsvSource({"xl/worksheets/sheet1.xml, 101", "xl/sharedStrings.xml, 33", "anything, 101"})
  void a_small_file_that_unpacks_to_more_than_fits_is_refused(String part, int megabytes)
      throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      zip.putNextEntry(new ZipEntry(part));
      byte[] blank = new byte[1024 * 1024];
      for (int i = 0; i < megabytes; i++) zip.write(blank);
    }
    assertThat(out.size()).isLessThan(1024 * 1024);
    refused(() -> SheetReader.file("list.xlsx", out.toByteArray()), "larger unpacked");
  }

  @Test
  void a_cell_longer_than_any_that_is_kept_is_refused_with_its_row() {
    String rows = "Code,Name\nA,Smoker\nB," + "x".repeat(2001) + "\n";
    refused(() -> SheetReader.text(rows), "Row 3 has a cell of 2001 letters");
  }

  @Test
  void more_letters_than_a_draft_can_hold_are_refused() {
    String rows = "Code,Name\n" + ("A," + "x".repeat(1999) + "\n").repeat(8001);
    refused(() -> SheetReader.text(rows), "bring it in in parts");
  }

  @Test
  void a_file_that_is_not_what_its_name_says_is_refused_with_a_sentence() {
    assertThatThrownBy(() -> SheetReader.file("a.xlsx", "Code,Name".getBytes()))
        .hasMessageContaining("not such a file");
    assertThatThrownBy(() -> SheetReader.file("a.csv", new byte[0]))
        .hasMessage("The file is empty.");
    assertThatThrownBy(() -> SheetReader.file("a.csv", new byte[] {1, 0, 2, 0}))
        .hasMessageContaining("no text file");
    assertThatThrownBy(() -> SheetReader.file("a.csv", "PK\3\4broken".getBytes()))
        .hasMessageContaining("cannot be read");
    assertThatThrownBy(() -> SheetReader.text("Code,Name\n\"open,1\n"))
        .hasMessageContaining("quotation mark");
    assertThatThrownBy(
            () -> SheetReader.text("Code\n".concat("x\n".repeat(SheetReader.MOST_ROWS + 1))))
        .hasMessageContaining("more than");
  }

  @Test
  void columns_without_anything_in_them_do_not_count() throws Exception {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    Workbook book = new Workbook(out, "test", "1.0");
    var sheet = book.newWorksheet("Stock");
    sheet.value(0, 0, "Code");
    sheet.value(0, 1, "Name");
    sheet.value(1, 0, "A");
    sheet.value(1, 1, "Smoker");
    sheet.value(1, 2, "on the shelf");
    sheet.value(1, 200, " ");
    book.finish();
    Sheet read = SheetReader.file("list.xlsx", out.toByteArray());
    assertThat(read.headings()).containsExactly("Code", "Name", "");
    assertThat(read.rows()).containsExactly(List.of("A", "Smoker", "on the shelf"));
  }
}
