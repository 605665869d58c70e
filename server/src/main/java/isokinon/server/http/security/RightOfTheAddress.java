package isokinon.server.http.security;

import isokinon.server.access.Needs;
import isokinon.server.access.NotAllowed;
import isokinon.server.access.Right;
import isokinon.server.access.SignedIn;
import isokinon.server.http.delivery.Addresses;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.authorization.AuthorizationManager;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.access.intercept.RequestAuthorizationContext;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;

/**
 * Whether somebody may ask an operation, before anything of it is read. The operation names its
 * right; one that names none is nobody's.
 */
@Component
public class RightOfTheAddress implements AuthorizationManager<RequestAuthorizationContext> {

  private static final String OURS = "isokinon.";

  private final Addresses addresses;

  RightOfTheAddress(Addresses addresses) {
    this.addresses = addresses;
  }

  /** The right that an operation names; empty where it names none. */
  public static Optional<Right> right(HandlerMethod operation) {
    return Optional.ofNullable(operation.getMethodAnnotation(Needs.class))
        .or(() -> Optional.ofNullable(operation.getBeanType().getAnnotation(Needs.class)))
        .map(Needs::value);
  }

  @Override
  public AuthorizationDecision check(
      Supplier<Authentication> asks, RequestAuthorizationContext context) {
    HttpServletRequest request = context.getRequest();
    Optional<HandlerMethod> operation;
    try {
      operation = addresses.operation(request);
    } catch (ServletException e) {
      throw new AccessDeniedException("no operation", e);
    }
    // By the operation that is found, never by how its address is written: that can be written
    // in many ways. What is no operation of ours holds nothing of a shop: the files of the screens,
    // the description of the interface; and what is no operation at all is told so in its turn.
    if (operation.isEmpty() || !operation.get().getBeanType().getName().startsWith(OURS)) {
      return new AuthorizationDecision(true);
    }
    Optional<SignedIn> me = me(asks.get());
    Right right = right(operation.get()).orElse(null);
    if (right == Right.OPEN) {
      return new AuthorizationDecision(true);
    }
    if (right == null || me.isEmpty()) {
      return new AuthorizationDecision(false);
    }
    if (!me.get().may(right)) {
      throw new AccessDeniedException(new NotAllowed(me.get(), right).getMessage());
    }
    return new AuthorizationDecision(true);
  }

  private static Optional<SignedIn> me(Authentication asks) {
    return asks != null && asks.getPrincipal() instanceof SignedIn me
        ? Optional.of(me)
        : Optional.empty();
  }
}
