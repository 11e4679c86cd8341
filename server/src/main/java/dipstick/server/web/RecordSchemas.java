package dipstick.server.web;

import com.fasterxml.jackson.databind.type.TypeFactory;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/**
 * In the API's description a record's component is always there, unless it is an {@link Optional}, of which the
 * limits are said too, and a JSON node is any object.
 */
@Component
class RecordSchemas implements ModelConverter {
    @Override
    public @Nullable Schema<?> resolve(
            AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
        if (!chain.hasNext()) {
            return null;
        }
        if (JsonNode.class.isAssignableFrom(TypeFactory.rawClass(type.getType()))) {
            return new ObjectSchema().additionalProperties(true);
        }
        Schema<?> schema = chain.next().resolve(type, context, chain);
        Class<?> raw = TypeFactory.rawClass(type.getType());
        Schema<?> model = context.getDefinedModels().get(raw.getSimpleName());
        if (raw.isRecord() && model != null) {
            List<String> always = Arrays.stream(raw.getRecordComponents())
                    .filter(component -> component.getType() != Optional.class)
                    .map(RecordComponent::getName)
                    .toList();
            model.setRequired(always);
            sayLimits(raw.getRecordComponents(), model);
        }
        return schema;
    }

    private static void sayLimits(RecordComponent[] components, Schema<?> model) {
        var properties = model.getProperties();
        if (properties == null) {
            return;
        }
        for (RecordComponent component : components) {
            Schema<?> property = properties.get(component.getName());
            if (property != null) {
                OptionalLimits.describe(component.getAnnotatedType(), property);
            }
        }
    }
}
