package isokinon.server.work.photographs;

import isokinon.core.photograph.PhotographLimits;
import isokinon.server.work.shared.RequestProblem;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Iterator;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.MemoryCacheImageOutputStream;

/**
 * A picture made small and written anew: only what is seen is left of it. Where it was taken, by
 * which device, and anything else a file may carry is gone.
 *
 * @param jpeg the picture
 * @param width pixels
 * @param height pixels
 */
public record SmallPicture(byte[] jpeg, int width, int height) {

  /** What a picture that is sent may measure: a tablet's camera has 12 million pixels. */
  private static final long MOST_PIXELS = 50_000_000;

  private static final float[] QUALITIES = {0.8f, 0.65f, 0.5f, 0.35f};

  /**
   * Makes a picture small.
   *
   * @param sent a JPEG or PNG file
   * @throws RequestProblem where it is no picture, or too large to be read
   */
  public static SmallPicture of(byte[] sent) {
    BufferedImage small = fitted(read(sent));
    for (float quality : QUALITIES) {
      byte[] jpeg = written(small, quality);
      if (jpeg.length <= PhotographLimits.BYTES) {
        return new SmallPicture(jpeg, small.getWidth(), small.getHeight());
      }
    }
    throw RequestProblem.invalid(
        "picture", "It stays over " + PhotographLimits.BYTES / 1000 + " kB however it is written.");
  }

  private static BufferedImage read(byte[] sent) {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(sent))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (!readers.hasNext()) {
        throw noPicture();
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(in, true, true);
        long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
        if (pixels > MOST_PIXELS) {
          throw RequestProblem.invalid(
              "picture", "It has " + pixels / 1_000_000 + " million pixels; 50 can be read.");
        }
        return reader.read(0);
      } finally {
        reader.dispose();
      }
    } catch (IOException | RuntimeException e) {
      if (e instanceof RequestProblem told) {
        throw told;
      }
      throw noPicture(); // readers throw all sorts of things at files that are cut short
    }
  }

  private static RequestProblem noPicture() {
    return RequestProblem.invalid("picture", "That is no picture that can be read: JPEG or PNG.");
  }

  private static BufferedImage fitted(BufferedImage whole) {
    double scale =
        Math.min(
            1.0,
            (double) PhotographLimits.LONG_SIDE / Math.max(whole.getWidth(), whole.getHeight()));
    int width = Math.max(1, (int) Math.round(whole.getWidth() * scale));
    int height = Math.max(1, (int) Math.round(whole.getHeight() * scale));
    BufferedImage small = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D on = small.createGraphics();
    on.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
    on.drawImage(whole, 0, 0, width, height, null);
    on.dispose();
    return small;
  }

  /** A picture as a JPEG. */
  static byte[] written(BufferedImage picture, float quality) {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (MemoryCacheImageOutputStream to = new MemoryCacheImageOutputStream(out)) {
      ImageWriteParam how = writer.getDefaultWriteParam();
      how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      how.setCompressionQuality(quality);
      writer.setOutput(to);
      writer.write(null, new IIOImage(picture, null, null), how);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      writer.dispose();
    }
    return out.toByteArray();
  }
}
