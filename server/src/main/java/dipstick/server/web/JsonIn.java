package dipstick.server.web;

import com.fasterxml.jackson.annotation.Nulls;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How what is sent is read: nothing among several things cannot be read. */
@Configuration
class JsonIn {
    @Bean
    JsonMapperBuilderCustomizer noNullElements() {
        return json -> json.changeDefaultNullHandling(nulls -> nulls.withContentNulls(Nulls.FAIL));
    }
}
