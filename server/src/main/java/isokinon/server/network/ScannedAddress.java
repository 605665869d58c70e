package isokinon.server.network;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.util.Map;

/** An address as a code that a tablet scans from the screen of whoever started the server. */
public final class ScannedAddress {

  private static final int QUIET = 2;

  private ScannedAddress() {}

  /** The code in half blocks, two rows of it in a line of text. */
  public static String of(String address) {
    BitMatrix dots;
    try {
      dots =
          new QRCodeWriter()
              .encode(address, BarcodeFormat.QR_CODE, 0, 0, Map.of(EncodeHintType.MARGIN, QUIET));
    } catch (WriterException e) {
      throw new IllegalStateException(e);
    }
    StringBuilder text = new StringBuilder();
    for (int y = 0; y < dots.getHeight(); y += 2) {
      for (int x = 0; x < dots.getWidth(); x++) {
        boolean above = dots.get(x, y);
        boolean below = y + 1 < dots.getHeight() && dots.get(x, y + 1);
        // dark dots are left out: a console is dark, and a code is read by its light ones too
        text.append(above ? below ? ' ' : '▄' : below ? '▀' : '█');
      }
      text.append('\n');
    }
    return text.toString();
  }
}
