package isokinon.server.http;

import com.fasterxml.jackson.databind.JsonMappingException;
import com.fasterxml.jackson.databind.exc.InvalidFormatException;
import isokinon.core.value.Code;
import isokinon.server.access.NotAllowed;
import isokinon.server.access.People;
import isokinon.server.access.SignInRefused;
import isokinon.server.folder.NoRoom;
import isokinon.server.http.description.Codes;
import isokinon.server.work.shared.RequestProblem;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.HttpMediaTypeNotAcceptableException;
import org.springframework.web.HttpMediaTypeNotSupportedException;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Everything that goes wrong, as {@code application/problem+json} with sentences. */
@RestControllerAdvice
class Problems {

  private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

  @ExceptionHandler
  ResponseEntity<ProblemDetail> refused(RequestProblem e) {
    return problem(status(e), e.getMessage(), errors(e));
  }

  private static List<Map<String, Object>> errors(RequestProblem e) {
    return e.faults().stream()
        .map(
            f ->
                f.line() == 0
                    ? Map.<String, Object>of("path", f.path(), "message", f.message())
                    : Map.<String, Object>of(
                        "path", f.path(), "line", f.line(), "message", f.message()))
        .toList();
  }

  /** The one place where a kind of problem gets its HTTP status. */
  private static HttpStatus status(RequestProblem e) {
    if (e instanceof RequestProblem.NotFound) {
      return HttpStatus.NOT_FOUND;
    }
    if (e instanceof RequestProblem.Stale) {
      return HttpStatus.CONFLICT;
    }
    return e instanceof RequestProblem.NotNow
        ? HttpStatus.UNPROCESSABLE_ENTITY
        : HttpStatus.BAD_REQUEST;
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> stale(RequestProblem.Stale e) {
    ProblemDetail detail = detail(status(e), e.getMessage(), errors(e));
    detail.setTitle("Someone else acted first");
    detail.setProperty("now", e.now());
    return body(status(e), detail);
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> notTheirs(NotAllowed e) {
    return one(HttpStatus.FORBIDDEN, "", e.getMessage());
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> person(People.Refused e) {
    return one(HttpStatus.UNPROCESSABLE_ENTITY, e.field(), e.getMessage());
  }

  /** A PIN that opens nothing, with what the page of signing in counts down. */
  @ExceptionHandler
  ResponseEntity<ProblemDetail> opensNothing(SignInRefused e) {
    HttpStatus status =
        e.why() == SignInRefused.Why.WAIT ? HttpStatus.TOO_MANY_REQUESTS : HttpStatus.FORBIDDEN;
    ProblemDetail detail =
        detail(
            status, e.getMessage(), List.of(Map.of("path", e.field(), "message", e.getMessage())));
    detail.setProperty("why", e.why().code());
    detail.setProperty("triesLeft", e.triesLeft());
    detail.setProperty("waitSeconds", e.waits().toSeconds());
    return body(status, detail);
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> notReadable(HttpMessageNotReadableException e) {
    if (e.getCause() instanceof InvalidFormatException word
        && Code.class.isAssignableFrom(word.getTargetType())) {
      String path = path(word);
      return one(
          HttpStatus.BAD_REQUEST,
          path,
          "\""
              + word.getValue()
              + "\" is no "
              + path
              + ": it is one of "
              + String.join(", ", Codes.of(word.getTargetType()))
              + ".");
    }
    if (e.getCause() instanceof JsonMappingException mapping) {
      String path = path(mapping);
      return one(
          HttpStatus.BAD_REQUEST,
          path,
          (path.isEmpty() ? "The request" : path) + " is not of the kind that is asked for here.");
    }
    return one(HttpStatus.BAD_REQUEST, "", "The request is not readable as JSON.");
  }

  private static String path(JsonMappingException e) {
    return e.getPath().stream()
        .map(r -> r.getFieldName() == null ? "[" + r.getIndex() + "]" : r.getFieldName())
        .collect(Collectors.joining("."))
        .replace(".[", "[");
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> notValid(MethodArgumentNotValidException e) {
    List<Map<String, Object>> errors =
        e.getFieldErrors().stream()
            .map(
                f ->
                    Map.<String, Object>of(
                        "path",
                        f.getField(),
                        "message",
                        f.getField() + " " + f.getDefaultMessage() + "."))
            .toList();
    return problem(
        HttpStatus.BAD_REQUEST,
        errors.isEmpty() ? "Not valid." : (String) errors.get(0).get("message"),
        errors);
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> wrongKind(MethodArgumentTypeMismatchException e) {
    Class<?> wanted = e.getRequiredType();
    if (wanted != null && Code.class.isAssignableFrom(wanted)) {
      return one(
          e.getParameter().hasParameterAnnotation(PathVariable.class)
              ? HttpStatus.NOT_FOUND
              : HttpStatus.BAD_REQUEST,
          e.getName(),
          "\"" + e.getValue() + "\" is none of " + String.join(", ", Codes.of(wanted)) + ".");
    }
    return one(HttpStatus.NOT_FOUND, e.getName(), "\"" + e.getValue() + "\" names nothing here.");
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> missing(MissingServletRequestParameterException e) {
    return one(
        HttpStatus.BAD_REQUEST,
        e.getParameterName(),
        "The address needs \"" + e.getParameterName() + "\".");
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> wrongMethod(HttpRequestMethodNotSupportedException e) {
    return one(
        HttpStatus.METHOD_NOT_ALLOWED, "", "This address does not take " + e.getMethod() + ".");
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> notInThisKind(HttpMediaTypeNotAcceptableException e) {
    return one(
        HttpStatus.NOT_ACCEPTABLE,
        "",
        "It cannot be given in the kind that is asked for. It can be had as "
            + e.getSupportedMediaTypes().stream()
                .map(MediaType::toString)
                .collect(Collectors.joining(", "))
            + ".");
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> wrongMedia(HttpMediaTypeNotSupportedException e) {
    return one(
        HttpStatus.UNSUPPORTED_MEDIA_TYPE,
        "",
        "This address does not take " + e.getContentType() + ".");
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> noSuchAddress(NoResourceFoundException e, HttpServletRequest r) {
    return one(HttpStatus.NOT_FOUND, "", "Nothing is at " + r.getRequestURI() + ".");
  }

  /** Whoever asked has left, as when a page with a gauge's stream is closed. */
  @ExceptionHandler
  void gone(AsyncRequestNotUsableException e) {
    LOG.debug("nobody waits for the answer any more", e);
  }

  /** Nothing is written on a full disk; every other fault of the database is ours. */
  @ExceptionHandler({DataAccessException.class, NoRoom.class})
  ResponseEntity<ProblemDetail> noRoom(RuntimeException e, HttpServletRequest request) {
    Throwable root = NestedExceptionUtils.getMostSpecificCause(e);
    if (root instanceof NoRoom) {
      return one(HttpStatus.INSUFFICIENT_STORAGE, "", NoRoom.SENTENCE);
    }
    return anything(e, request);
  }

  /** Two wrote the same at once, and a unique key let one of them. */
  @ExceptionHandler
  ResponseEntity<ProblemDetail> writtenMeanwhile(DuplicateKeyException e) {
    LOG.debug("the loser of a race", e);
    return one(
        HttpStatus.CONFLICT, "", "Somebody wrote the same at this moment: look at it, then again.");
  }

  /** Somebody else writes just now, for longer than anybody waits. */
  @ExceptionHandler
  ResponseEntity<ProblemDetail> busy(PessimisticLockingFailureException e) {
    LOG.debug("waited in vain", e);
    return one(
        HttpStatus.CONFLICT, "", "Somebody else writes there just now: try again in a moment.");
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> cannotBeKept(DataIntegrityViolationException e) {
    LOG.warn("it cannot be kept", e);
    return one(
        HttpStatus.BAD_REQUEST, "", "Something in it is longer, or of another kind, than is kept.");
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> anything(Exception e, HttpServletRequest request) {
    LOG.error("{} {} failed", request.getMethod(), request.getRequestURI(), e);
    return one(
        HttpStatus.INTERNAL_SERVER_ERROR,
        "",
        "Something went wrong on our side. Nothing was recorded; what you typed is still with you.");
  }

  private static ResponseEntity<ProblemDetail> one(HttpStatus status, String path, String message) {
    return problem(status, message, List.of(Map.of("path", path, "message", message)));
  }

  private static ResponseEntity<ProblemDetail> problem(
      HttpStatus status, String message, List<Map<String, Object>> errors) {
    return body(status, detail(status, message, errors));
  }

  private static ProblemDetail detail(
      HttpStatus status, String message, List<Map<String, Object>> errors) {
    ProblemDetail detail = ProblemDetail.forStatusAndDetail(status, message);
    detail.setProperty("errors", errors);
    return detail;
  }

  private static ResponseEntity<ProblemDetail> body(HttpStatus status, ProblemDetail detail) {
    return ResponseEntity.status(status)
        .contentType(MediaType.APPLICATION_PROBLEM_JSON)
        .body(detail);
  }
}
