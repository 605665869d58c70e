package isokinon.server.work.photographs;

import isokinon.core.photograph.PhotographMark;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import javax.imageio.ImageIO;

/**
 * A photograph for paper, with what was drawn on it.
 *
 * @param title what it is of
 * @param caption who took it and when, and what stands beside its marks
 * @param jpeg the picture with its marks
 */
public record PrintedPhotograph(String title, String caption, byte[] jpeg) {

  private static final Color ACCENT = new Color(0x1F6F68);
  private static final Color RIM = new Color(0xFDFCF8);

  /** Half the opening of an arrow's head, rad; its length as a share of the longer side. */
  private static final double OPENING = 0.5;

  private static final double HEAD = 0.045;
  private static final double LINE = 0.006;
  private static final float PRINTED = 0.8f;

  /** A picture with its marks drawn on. */
  static byte[] drawn(byte[] jpeg, List<PhotographMark> marks) {
    if (marks.isEmpty()) {
      return jpeg;
    }
    try {
      BufferedImage picture = ImageIO.read(new ByteArrayInputStream(jpeg));
      Graphics2D on = picture.createGraphics();
      on.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
      float line = (float) (LINE * Math.max(picture.getWidth(), picture.getHeight()));
      for (PhotographMark mark : marks) {
        Shape shape = shape(mark, picture.getWidth(), picture.getHeight());
        stroke(on, shape, RIM, 2.4f * line);
        stroke(on, shape, ACCENT, line);
      }
      on.dispose();
      return SmallPicture.written(picture, PRINTED);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void stroke(Graphics2D on, Shape shape, Color color, float width) {
    on.setColor(color);
    on.setStroke(new BasicStroke(width, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    on.draw(shape);
  }

  private static Shape shape(PhotographMark m, int width, int height) {
    double fromX = m.fromX() * width;
    double fromY = m.fromY() * height;
    double toX = m.toX() * width;
    double toY = m.toY() * height;
    if (m.shape() == PhotographMark.Shape.RING) {
      return new Ellipse2D.Double(
          Math.min(fromX, toX), Math.min(fromY, toY), Math.abs(toX - fromX), Math.abs(toY - fromY));
    }
    double head = HEAD * Math.max(width, height);
    double angle = Math.atan2(toY - fromY, toX - fromX);
    Path2D arrow = new Path2D.Double();
    arrow.moveTo(fromX, fromY);
    arrow.lineTo(toX, toY);
    for (double turn : new double[] {OPENING, -OPENING}) {
      arrow.moveTo(toX, toY);
      arrow.lineTo(toX - head * Math.cos(angle + turn), toY - head * Math.sin(angle + turn));
    }
    return arrow;
  }
}
