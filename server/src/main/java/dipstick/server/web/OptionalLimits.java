package dipstick.server.web;

import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.parameters.Parameter;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.lang.reflect.AnnotatedParameterizedType;
import java.lang.reflect.AnnotatedType;
import java.lang.reflect.ParameterizedType;
import java.math.BigDecimal;
import java.util.Optional;
import org.springdoc.core.customizers.ParameterCustomizer;
import org.springdoc.core.extractor.DelegatingMethodParameter;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;

/** Limits of what may be absent stand within its {@link Optional}, where the description of the API does not look for them. */
@Component
class OptionalLimits implements ParameterCustomizer {
    @Override
    public Parameter customize(Parameter described, MethodParameter parameter) {
        if (parameter instanceof DelegatingMethodParameter part && part.isParameterObject()) {
            describe(part.getField().getAnnotatedType(), described.getSchema());
        }
        return described;
    }

    /**
     * Says the limits of what may be absent in its description.
     *
     * @param type of a component of a record; of any other than an {@link Optional} nothing is said
     */
    static void describe(AnnotatedType type, Schema<?> schema) {
        if (type instanceof AnnotatedParameterizedType parameterized
                && parameterized.getType() instanceof ParameterizedType written
                && written.getRawType() == Optional.class) {
            AnnotatedType held = parameterized.getAnnotatedActualTypeArguments()[0];
            Optional.ofNullable(held.getAnnotation(Size.class)).ifPresent(size -> {
                if (held instanceof AnnotatedParameterizedType) {
                    schema.setMaxItems(size.max());
                } else {
                    schema.setMaxLength(size.max());
                }
            });
            Optional.ofNullable(held.getAnnotation(Min.class))
                    .ifPresent(min -> schema.setMinimum(BigDecimal.valueOf(min.value())));
            Optional.ofNullable(held.getAnnotation(Max.class))
                    .ifPresent(max -> schema.setMaximum(BigDecimal.valueOf(max.value())));
        }
    }
}
