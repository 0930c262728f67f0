package dev.lonja.web.request;

import dev.lonja.desk.request.Sent;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.Part;
import java.io.IOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.Principal;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.util.unit.DataSize;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;

/**
 * Makes the {@link Sent} of a request out of all that came with it: its address, every field and
 * every file, and who sent it. No controller picks fields for it, so none is forgotten.
 */
final class SentResolver implements HandlerMethodArgumentResolver {

  private static final String KEY = "requestKey";

  /** Fields of the frame, which differ between two sendings of the same form. */
  private static final Set<String> NOT_CONTENT = Set.of(KEY, "_csrf");

  /** What is kept nowhere, not as a fast hash of all that was sent either. */
  private static final Pattern SECRET =
      Pattern.compile("(?i).*password|pin|badge|setUpCode|oneTimeCode");

  private static final int CHUNK = Math.toIntExact(DataSize.ofKilobytes(64).toBytes());

  @Override
  public boolean supportsParameter(MethodParameter parameter) {
    return parameter.getParameterType() == Sent.class;
  }

  @Override
  public Sent resolveArgument(
      MethodParameter parameter,
      @Nullable ModelAndViewContainer container,
      NativeWebRequest webRequest,
      @Nullable WebDataBinderFactory binders)
      throws Exception {
    HttpServletRequest request =
        Optional.ofNullable(webRequest.getNativeRequest(HttpServletRequest.class)).orElseThrow();
    String actor =
        Optional.ofNullable(request.getUserPrincipal()).map(Principal::getName).orElse("");
    String key = Optional.ofNullable(request.getParameter(KEY)).orElse("");
    return new Sent(
        key,
        actor + ' ' + content(request),
        actor,
        request.getRemoteAddr(),
        LaterAnswers.ago(request));
  }

  /** True for a field that holds what only one person knows. */
  static boolean isSecret(String name) {
    return SECRET.matcher(name).matches();
  }

  private static String content(HttpServletRequest request) throws Exception {
    StringBuilder content = new StringBuilder(request.getMethod());
    content.append(' ').append(request.getRequestURI());
    new TreeMap<>(request.getParameterMap())
        .forEach(
            (name, values) -> {
              if (!NOT_CONTENT.contains(name) && !isSecret(name)) {
                content.append('\n').append(name).append('=').append(Arrays.toString(values));
              }
            });
    boolean mayHoldFiles =
        Optional.ofNullable(request.getContentType())
            .filter(type -> type.startsWith("multipart/"))
            .isPresent();
    if (mayHoldFiles) {
      for (Part part : request.getParts()) {
        if (part.getSubmittedFileName() != null) {
          content.append('\n').append(part.getName()).append(" file ").append(hash(part));
        }
      }
    }
    return content.toString();
  }

  private static String hash(Part part) throws IOException, NoSuchAlgorithmException {
    MessageDigest digest = MessageDigest.getInstance("SHA-256");
    byte[] chunk = new byte[CHUNK];
    try (var input = part.getInputStream()) {
      for (int read = input.read(chunk); read >= 0; read = input.read(chunk)) {
        digest.update(chunk, 0, read);
      }
    }
    return HexFormat.of().formatHex(digest.digest());
  }
}
