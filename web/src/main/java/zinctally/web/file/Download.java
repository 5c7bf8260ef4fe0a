package zinctally.web.file;

import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;

/** Sends files of the forms that lists and statements have. */
public final class Download {
  public static final List<String> FORMS = List.of("csv", "xlsx", "pdf");
  private static final Map<String, String> TYPES =
      Map.of(
          "csv",
          "text/csv;charset=UTF-8",
          "xlsx",
          "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
          "pdf",
          MediaType.APPLICATION_PDF_VALUE);

  private Download() {}

  /** Writes a file. */
  public interface Maker {
    void make(OutputStream out) throws IOException;
  }

  public static String type(String form) {
    return String.valueOf(TYPES.get(form));
  }

  /**
   * Sends a file. It is made whole before it is sent, so that who reads slowly holds nothing up.
   *
   * @param form one of {@link #FORMS}
   */
  public static void send(String form, String name, HttpServletResponse response, Maker maker)
      throws IOException {
    Path file = Files.createTempFile("zinc-file", "." + form);
    try {
      try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
        maker.make(out);
      }
      response.setHeader(
          HttpHeaders.CONTENT_DISPOSITION,
          ContentDisposition.attachment().filename(fileName(name, form)).build().toString());
      response.setContentType(type(form));
      response.setContentLengthLong(Files.size(file));
      Files.copy(file, response.getOutputStream());
    } finally {
      Files.delete(file);
    }
  }

  public static String fileName(String name, String form) {
    String plain =
        name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
    return (plain.isEmpty() ? "list" : plain) + "." + form;
  }

  /** A text that a spreadsheet would take for a formula gets a quote before it. */
  public static Object harmless(Object value) {
    return value instanceof String text
            && !text.isEmpty()
            && "=+-@\t\r\n".indexOf(text.charAt(0)) >= 0
        ? "'" + text
        : value;
  }
}
