package dev.lonja.app.demo.counter;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;

/** Draws what a photo of a receipt looks like from afar: a slip with grey lines, no two as long. */
final class DemoReceipt {

  private static final int WIDTH = 420;
  private static final int HEIGHT = 640;
  private static final int LINE = 34;

  private DemoReceipt() {}

  static byte[] photo() {
    BufferedImage slip = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Graphics2D canvas = slip.createGraphics();
    canvas.setColor(new Color(0x8A, 0x93, 0x91));
    canvas.fillRect(0, 0, WIDTH, HEIGHT);
    canvas.setColor(new Color(0xFB, 0xFA, 0xF5));
    canvas.fillRect(40, 30, WIDTH - 80, HEIGHT - 60);
    canvas.setColor(new Color(0x5A, 0x62, 0x60));
    for (int y = 80, at = 0; y < HEIGHT - 80; y += LINE, at++) {
      canvas.fillRect(70, y, 120 + at * 37 % 140, 10);
    }
    canvas.dispose();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try {
      ImageIO.write(slip, "png", bytes);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }
}
