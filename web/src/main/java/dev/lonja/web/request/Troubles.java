package dev.lonja.web.request;

import dev.lonja.store.StoreTrouble;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import org.springframework.boot.web.error.ErrorAttributeOptions;
import org.springframework.boot.webmvc.error.DefaultErrorAttributes;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.WebRequest;

/** Says on the page of an error what is wrong with the disk, and what to do, where that is it. */
@Component
class Troubles extends DefaultErrorAttributes {

  private static final int INSUFFICIENT_STORAGE = 507;

  @Override
  public Map<String, Object> getErrorAttributes(WebRequest request, ErrorAttributeOptions options) {
    Map<String, Object> attributes = super.getErrorAttributes(request, options);
    for (Throwable cause = getError(request); cause != null; cause = cause.getCause()) {
      if (cause instanceof StoreTrouble trouble) {
        attributes.put("title", title(trouble.kind()));
        attributes.put("trouble", words(trouble.kind()));
      }
    }
    return attributes;
  }

  static int status(StoreTrouble.Kind kind) {
    return kind == StoreTrouble.Kind.DISK_FULL
        ? INSUFFICIENT_STORAGE
        : HttpServletResponse.SC_SERVICE_UNAVAILABLE;
  }

  private static String title(StoreTrouble.Kind kind) {
    return switch (kind) {
      case DISK_FULL -> "The disk of the server is full";
      case READ_ONLY -> "The store can only be read";
      case DAMAGED -> "The store's file is damaged";
      case DISK_FAILS -> "The disk of the server does not answer";
    };
  }

  private static String words(StoreTrouble.Kind kind) {
    return switch (kind) {
      case DISK_FULL ->
          "Make room on it; then go on, nothing else is needed. What you can see is still right.";
      case READ_ONLY ->
          "The server may not write to its folder of data. Whoever runs it gives it back the right "
              + "to; nothing else is needed.";
      case DAMAGED ->
          "Stop the server and run ./lonja verify. It names what is damaged and the last good copy "
              + "to go back to.";
      case DISK_FAILS ->
          "Look whether the disk is there and sound. Then start the server again; it checks its "
              + "file first.";
    };
  }
}
