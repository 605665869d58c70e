package isokinon.server.papers;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;

/**
 * The fonts of the papers: those of the screens, as TrueType, within every PDF. A record that is
 * opened in twenty years looks as it was printed, whatever is installed there.
 */
final class PaperFonts {

  private static final String FOLDER = "/papers/fonts/";

  /**
   * A font as a style sheet names it.
   *
   * @param weight as in a style sheet: 400 is regular, 700 bold
   */
  private record Font(String family, int weight, byte[] bytes) {}

  private static final List<Font> ALL =
      List.of(
          font("Archivo", "archivo-latin", 400),
          font("Archivo", "archivo-latin", 700),
          font("Archivo Ext", "archivo-latin-ext", 400),
          font("Archivo Ext", "archivo-latin-ext", 700),
          font("Archivo Narrow", "archivo-narrow-latin", 700),
          font("Archivo Narrow Ext", "archivo-narrow-latin-ext", 700),
          font("Spline Sans Mono", "spline-sans-mono-latin", 400));

  private PaperFonts() {}

  private static Font font(String family, String name, int weight) {
    String file = FOLDER + name + "-" + weight + ".ttf";
    try (InputStream in = PaperFonts.class.getResourceAsStream(file)) {
      if (in == null) {
        throw new IllegalStateException("The screens were packaged without " + file + ".");
      }
      return new Font(family, weight, in.readAllBytes());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Puts them into a document; of each only the signs that stand in it. */
  static void into(PdfRendererBuilder document) {
    for (Font f : ALL) {
      document.useFont(
          () -> new ByteArrayInputStream(f.bytes()),
          f.family(),
          f.weight(),
          FontStyle.NORMAL,
          true);
    }
  }
}
