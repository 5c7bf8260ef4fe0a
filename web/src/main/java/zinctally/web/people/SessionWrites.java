package zinctally.web.people;

import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Each page looks for its session and most change one row of it: where one server keeps the book, a
 * transaction round that would be three commands for one. Where several do, it is one, so that no
 * other server was written to meanwhile.
 */
@Configuration
@ConditionalOnExpression("'${zinc.servers:}'.isEmpty()")
class SessionWrites {
  @Bean
  TransactionOperations springSessionTransactionOperations() {
    return TransactionOperations.withoutTransaction();
  }

  /** That of all others; beside the one above none is made by itself. */
  @Bean
  TransactionTemplate transactionTemplate(PlatformTransactionManager transactions) {
    return new TransactionTemplate(transactions);
  }
}
