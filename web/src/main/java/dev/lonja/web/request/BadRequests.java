package dev.lonja.web.request;

import dev.lonja.store.StoreTrouble;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;

/**
 * Requests that are wrong in themselves are not the server's fault, and a disk that is full is not
 * a broken program.
 */
@ControllerAdvice
class BadRequests {

  @ExceptionHandler
  void tooLarge(MaxUploadSizeExceededException problem, HttpServletResponse response)
      throws IOException {
    response.sendError(HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE);
  }

  @ExceptionHandler
  void trouble(StoreTrouble trouble, HttpServletResponse response) throws IOException {
    response.sendError(Troubles.status(trouble.kind()));
  }

  /** Files are announced and none come, or they cannot be told apart. */
  @ExceptionHandler
  void noFiles(MultipartException problem, HttpServletResponse response) throws IOException {
    response.sendError(HttpServletResponse.SC_BAD_REQUEST);
  }
}
