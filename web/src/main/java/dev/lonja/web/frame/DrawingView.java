package dev.lonja.web.frame;

import dev.lonja.desk.forecast.Drawn;

/**
 * How far the trials are on which a page rests.
 *
 * @param words what its reader must know; empty if they show all that is written
 * @param percent how far newer ones are
 */
public record DrawingView(String words, boolean running, int percent) {

  /**
   * @param first what is said before any are drawn
   * @param older what is said while there are older ones
   */
  public static DrawingView of(Drawn drawn, String first, String older) {
    String words = "";
    if (drawn.failed()) {
      words = "The trials of the forecast could not be drawn; the log of the server says why.";
    } else if (drawn.isRunning()) {
      words = drawn.bands().isPresent() ? older : first;
    }
    return new DrawingView(words, drawn.isRunning(), drawn.percent());
  }
}
