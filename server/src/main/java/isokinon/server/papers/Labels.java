package isokinon.server.papers;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.springframework.stereotype.Component;

/** Labels with a QR code to hang on pumps, lots and kept parts; a scanner reads the tag itself. */
@Component
public class Labels {

  private static final int IN_A_ROW = 2;
  private static final int MODULE_PX = 8;
  private static final int BLACK = 0x000000;
  private static final int WHITE = 0xFFFFFF;

  /**
   * A label.
   *
   * @param code what the scanner reads
   * @param lines what people read below it
   */
  public record Label(String code, List<String> lines) {}

  private final Paper paper;

  Labels(Paper paper) {
    this.paper = paper;
  }

  /** A label as it is printed: its code also as a picture, in the address of the image itself. */
  public record Printed(String code, String image, List<String> lines) {}

  /** Labels two in a row, as a PDF. */
  public byte[] pdf(List<Label> labels) {
    List<Printed> printed = labels.stream().map(Labels::printed).toList();
    return paper.pdf("labels", "Labels", Map.of("rows", Paper.rows(printed, IN_A_ROW)));
  }

  private static Printed printed(Label label) {
    return new Printed(label.code(), image(label.code()), label.lines());
  }

  /** The QR code of a text, as an address that holds the picture itself. */
  static String image(String code) {
    return Paper.image("png", qr(code));
  }

  /** A QR code (ISO/IEC 18004) as a PNG. */
  static byte[] qr(String code) {
    try {
      BitMatrix bits = new QRCodeWriter().encode(code, BarcodeFormat.QR_CODE, 1, 1);
      int side = bits.getWidth() * MODULE_PX;
      BufferedImage image = new BufferedImage(side, side, BufferedImage.TYPE_INT_RGB);
      for (int x = 0; x < side; x++) {
        for (int y = 0; y < side; y++) {
          image.setRGB(x, y, bits.get(x / MODULE_PX, y / MODULE_PX) ? BLACK : WHITE);
        }
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      ImageIO.write(image, "png", out);
      return out.toByteArray();
    } catch (WriterException e) {
      throw new IllegalArgumentException("No code can be made of \"" + code + "\".", e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
