package zinctally.store;

import java.util.Optional;
import org.aopalliance.intercept.MethodInterceptor;
import org.springframework.aop.Advisor;
import org.springframework.aop.ProxyMethodInvocation;
import org.springframework.aop.support.DefaultPointcutAdvisor;
import org.springframework.aop.support.annotation.AnnotationMatchingPointcut;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Role;
import org.springframework.core.Ordered;
import org.springframework.transaction.annotation.Transactional;

/** Has what is marked {@link Transactional} tried again when it met others. */
@Configuration
@Role(BeanDefinition.ROLE_INFRASTRUCTURE)
class TriedAgain {
  @Bean
  @Role(BeanDefinition.ROLE_INFRASTRUCTURE)
  static Advisor aroundTransactions(ObjectProvider<Retrying> retrying) {
    MethodInterceptor around =
        call -> retrying.getObject().again(() -> once((ProxyMethodInvocation) call)).orElse(null);
    DefaultPointcutAdvisor advisor =
        new DefaultPointcutAdvisor(
            AnnotationMatchingPointcut.forMethodAnnotation(Transactional.class), around);
    advisor.setOrder(Ordered.HIGHEST_PRECEDENCE);
    return advisor;
  }

  /** A call can go on once; a copy of it goes on each time. */
  private static Optional<Object> once(ProxyMethodInvocation call) throws Throwable {
    return Optional.ofNullable(call.invocableClone().proceed());
  }
}
