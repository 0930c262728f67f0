package dev.lonja.app.yard;

import java.util.List;
import java.util.Map;

/** The application's pages as somebody uses them, in a browser or without one. */
public interface Screens {

  /** Opens a page. */
  void open(String path);

  /** The path of the page that is open. */
  String path();

  /**
   * Fills the form that goes to a path ending so, and sends it; what is refused fails with the
   * words of the page.
   *
   * @param typed by the name of the field; of a list, what it offers or the value behind it
   */
  void send(String actionEnd, Map<String, String> typed);

  /** The names of the fields of a form that begin so. */
  List<String> fields(String actionEnd, String beginning);

  /** Where a link leads, or where a form goes. */
  String attribute(String css, String name);

  /** The words of everything that matches, white space as one blank. */
  List<String> texts(String css);
}
