package zinctally.demo;

import org.springframework.boot.autoconfigure.AutoConfiguration;
import org.springframework.context.annotation.ComponentScan;
import org.springframework.context.annotation.Profile;

/** Makes the demo book where the profile {@code demo} is on; elsewhere there is nothing of it. */
@AutoConfiguration
@Profile("demo")
@ComponentScan
class DemoConfiguration {}
