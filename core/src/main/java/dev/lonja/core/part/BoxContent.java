package dev.lonja.core.part;

/**
 * Something that comes in the box of a part, or that a kit is made of.
 *
 * @param quantity how many of it, 1 or more
 */
public record BoxContent(Part part, int quantity) {

  public BoxContent {
    if (quantity < 1) {
      throw new IllegalArgumentException("quantity is " + quantity + "; allowed is 1 or more");
    }
  }
}
