package zinctally.web.setup;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.security.Principal;
import java.util.Arrays;
import java.util.Base64;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.imageio.IIOException;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Trait;
import zinctally.store.paper.PaperStore;
import zinctally.store.setup.LookStore;
import zinctally.web.paper.PaperPdf;
import zinctally.web.shell.SetsUp;

/** How papers look that are handed over, with a picture of the latest invoice in that look. */
@Controller
class LookController {
  private static final int LOGO_BYTES = 300_000;
  private static final int LOGO_SIDE = 3_000;
  private static final int HEADER = 500;
  private static final int FOOTER = 1000;
  private static final int WORDS = 1000;
  private static final float DOTS = 62;
  private static final List<PaperKind> WORDED =
      Arrays.stream(PaperKind.values())
          .filter(kind -> kind.is(Trait.HANDED) && !kind.is(Trait.PAYS))
          .sorted(Comparator.comparing(PaperKind::area).reversed())
          .toList();
  private final LookStore looks;
  private final PaperStore papers;
  private final PaperPdf pdfs;

  LookController(LookStore looks, PaperStore papers, PaperPdf pdfs) {
    this.looks = looks;
    this.papers = papers;
    this.pdfs = pdfs;
  }

  @GetMapping("/setup/papers")
  String look(Model model) throws IOException {
    @SuppressWarnings("unchecked") // flashed by save() below
    Map<String, String> refused = (Map<String, String>) model.getAttribute("typed");
    LookStore.Look look = refused == null ? looks.look() : typed(refused);
    model.addAttribute("look", look);
    model.addAttribute("kinds", WORDED);
    model.addAttribute("logo", looks.logo().isPresent());
    model.addAttribute("picture", picture(look));
    return "setup/papers";
  }

  private static LookStore.Look typed(Map<String, String> typed) {
    Map<String, String> wording = new LinkedHashMap<>();
    for (PaperKind kind : WORDED)
      wording.put(kind.name(), typed.getOrDefault("words_" + kind.name(), "").strip());
    List<String> columns =
        Arrays.stream(new String[] {"code", "discount", "tax"}).filter(typed::containsKey).toList();
    return new LookStore.Look(
        typed.getOrDefault("header", "").strip(),
        typed.getOrDefault("footer", "").strip(),
        columns,
        wording);
  }

  /** What is too long to be kept, said in a sentence. */
  private static Optional<String> tooLong(LookStore.Look look) {
    if (look.header().length() > HEADER) return Optional.of(tooLong("The head", HEADER));
    if (look.footer().length() > FOOTER) return Optional.of(tooLong("The foot", FOOTER));
    return WORDED.stream()
        .filter(kind -> look.words(kind.name()).length() > WORDS)
        .map(kind -> tooLong("What stands below the lines: " + kind.words(), WORDS))
        .findFirst();
  }

  private static String tooLong(String what, int most) {
    return what + " has more than " + most + " letters; that many fit.";
  }

  /** The latest invoice as it would look. */
  @SetsUp
  @PostMapping("/setup/papers/preview")
  String preview(@RequestParam Map<String, String> typed, Model model) throws IOException {
    model.addAttribute("picture", picture(typed(typed)));
    return "setup/papers :: picture";
  }

  private @Nullable String picture(LookStore.Look look) throws IOException {
    Optional<Long> latest = papers.latest(PaperKind.INVOICE);
    if (latest.isEmpty()) return null;
    byte[] pdf = pdfs.handed(papers.find(latest.get()).orElseThrow(), look);
    try (var pages = Loader.loadPDF(pdf)) {
      BufferedImage image = new PDFRenderer(pages).renderImageWithDPI(0, DOTS);
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      ImageIO.write(image, "png", out);
      return "data:image/png;base64," + Base64.getEncoder().encodeToString(out.toByteArray());
    }
  }

  @SetsUp
  @PostMapping("/setup/papers")
  String save(@RequestParam Map<String, String> typed, Principal who, RedirectAttributes after) {
    LookStore.Look look = typed(typed);
    Optional<String> wrong = tooLong(look);
    if (wrong.isPresent()) {
      after.addFlashAttribute("typed", new HashMap<>(typed));
      return Answer.wrong(after, "/papers", wrong.get());
    }
    looks.save(look, who.getName());
    after.addFlashAttribute("told", "Kept.");
    return "redirect:/setup/papers";
  }

  /** Keeps a logo that is a picture of a fair size; none takes it away. */
  @SetsUp
  @PostMapping("/setup/papers/logo")
  String logo(@RequestParam MultipartFile logo, RedirectAttributes after) throws IOException {
    if (logo.isEmpty()) {
      looks.logo(Optional.empty());
      after.addFlashAttribute("told", "No logo stands on papers now.");
      return "redirect:/setup/papers";
    }
    if (logo.getSize() > LOGO_BYTES)
      return Answer.wrong(after, "/papers", "A logo has at most 300 kB; this one is larger.");
    byte[] bytes = logo.getBytes();
    String type = bytes.length > 1 && (bytes[0] & 0xff) == 0x89 ? "image/png" : "image/jpeg";
    Optional<String> wrong = wrongPicture(bytes);
    if (wrong.isPresent()) return Answer.wrong(after, "/papers", wrong.get());
    looks.logo(Optional.of(new LookStore.Logo(bytes, type)));
    after.addFlashAttribute("told", "Kept.");
    return "redirect:/setup/papers";
  }

  /** What is wrong with a picture; its size is read before it is unpacked. */
  private static Optional<String> wrongPicture(byte[] bytes) throws IOException {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (!readers.hasNext())
        return Optional.of("This is no picture; a logo is a PNG or JPEG file.");
      ImageReader reader = readers.next();
      try {
        reader.setInput(in);
        int wide = reader.getWidth(0);
        int high = reader.getHeight(0);
        if (wide > LOGO_SIDE || high > LOGO_SIDE)
          return Optional.of(
              "A logo is at most %d dots wide and high; this one has %d by %d."
                  .formatted(LOGO_SIDE, wide, high));
        reader.read(0);
        return Optional.empty();
      } finally {
        reader.dispose();
      }
    } catch (IIOException broken) {
      return Optional.of("This picture is broken; a logo is a PNG or JPEG file.");
    }
  }
}
