package isokinon.server.papers;

import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import isokinon.server.work.shared.ShopWords;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;
import org.thymeleaf.templateresolver.ClassLoaderTemplateResolver;

/**
 * The house's paper: one style, and templates in {@code resources/papers} for what stands on it.
 * They are XHTML, and say what is shown and in which order; what is said is worked out here.
 */
@Component
class Paper {

  private static final String FOLDER = "papers/";
  private static final byte[] SRGB = ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();

  private final ShopWords words;
  private final TemplateEngine templates = new TemplateEngine();
  private final String style;

  /**
   * A table of texts.
   *
   * @param heads what stands over each column
   * @param rows texts in the order of the columns
   */
  public record Table(List<String> heads, List<List<String>> rows) {}

  Paper(ShopWords words) {
    this.words = words;
    XRLog.setLoggingEnabled(false); // the renderer's own log tells of every page
    ClassLoaderTemplateResolver found = new ClassLoaderTemplateResolver();
    found.setPrefix(FOLDER);
    found.setSuffix(".html");
    found.setCharacterEncoding(StandardCharsets.UTF_8.name());
    templates.setTemplateResolver(found);
    try (InputStream css = Paper.class.getResourceAsStream("/" + FOLDER + "paper.css")) {
      style = new String(css.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * The address of a picture that holds the picture itself.
   *
   * @param kind png or jpeg
   */
  static String image(String kind, byte[] picture) {
    return "data:image/" + kind + ";base64," + Base64.getEncoder().encodeToString(picture);
  }

  /** Cells in rows of at most so many, for a table of cards. */
  static <T> List<List<T>> rows(List<T> cells, int inARow) {
    List<List<T>> rows = new ArrayList<>();
    for (int i = 0; i < cells.size(); i += inARow) {
      rows.add(List.copyOf(cells.subList(i, Math.min(cells.size(), i + inARow))));
    }
    return rows;
  }

  /**
   * A template filled in, as a PDF.
   *
   * @param title of the document
   * @param values what the template asks for, by name
   */
  byte[] pdf(String template, String title, Map<String, Object> values) {
    Map<String, Object> all = new HashMap<>(values);
    all.put("title", title);
    all.put("style", style);
    String html = printable(words.of(templates.process(template, new Context(null, all))));
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      PdfRendererBuilder document = new PdfRendererBuilder();
      PaperFonts.into(document);
      // Archival (ISO 19005-3, level U) and tagged for those who hear it (ISO 14289).
      document.usePdfAConformance(PdfRendererBuilder.PdfAConformance.PDFA_3_U);
      document.useColorProfile(SRGB);
      document.usePdfUaAccessibility(true);
      document.withHtmlContent(html, null).toStream(out).run();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  /** Degrees with their sign, and without the signs that the fonts lack. */
  private static String printable(String html) {
    return html.replace("degC", "°C")
        .codePoints()
        .map(c -> c == 0x2009 || c == 0x202F ? 0xA0 : c)
        .filter(c -> c == '\n' || (c >= 0x20 && c < 0xD800))
        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
        .toString();
  }
}
