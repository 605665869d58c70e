package isokinon.server.http.delivery;

import jakarta.servlet.http.HttpServletResponse;
import java.lang.reflect.Method;
import java.util.Arrays;
import org.aopalliance.intercept.MethodInterceptor;
import org.springframework.aop.Advisor;
import org.springframework.aop.support.DefaultPointcutAdvisor;
import org.springframework.aop.support.StaticMethodMatcherPointcut;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Role;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * A request that reads asks for a connection once and keeps it to its end. Where each statement
 * asked for one of its own, a page of many statements stood in the queue many times, behind
 * everybody who came later. What streams out by itself opens its own transaction.
 */
@Configuration(proxyBeanMethods = false)
class OneConnectionAReading {

  @Bean
  @Role(BeanDefinition.ROLE_INFRASTRUCTURE)
  static Advisor readings(ObjectProvider<PlatformTransactionManager> transactions) {
    MethodInterceptor inOneTransaction =
        call -> {
          TransactionTemplate reading = new TransactionTemplate(transactions.getObject());
          reading.setReadOnly(true);
          try {
            return reading.execute(
                status -> {
                  try {
                    return call.proceed();
                  } catch (RuntimeException | Error e) {
                    throw e;
                  } catch (Throwable e) {
                    throw new Checked(e);
                  }
                });
          } catch (Checked e) {
            throw e.getCause();
          }
        };
    return new DefaultPointcutAdvisor(new Readings(), inOneTransaction);
  }

  /** Carries an exception that a transaction does not let through as it is. */
  private static final class Checked extends RuntimeException {
    private static final long serialVersionUID = 1L;

    Checked(Throwable cause) {
      super(cause);
    }
  }

  private static final class Readings extends StaticMethodMatcherPointcut {
    @Override
    public boolean matches(Method method, Class<?> target) {
      return AnnotatedElementUtils.hasAnnotation(target, RestController.class)
          && AnnotatedElementUtils.hasAnnotation(method, GetMapping.class)
          && Arrays.stream(method.getParameterTypes())
              .noneMatch(HttpServletResponse.class::isAssignableFrom);
    }
  }
}
