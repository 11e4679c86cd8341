package dipstick.intake.contacts;

import java.util.ArrayList;
import java.util.List;
import net.fortuna.ical4j.data.DefaultPropertyFactorySupplier;
import net.fortuna.ical4j.model.ParameterList;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.PropertyFactory;
import net.fortuna.ical4j.model.property.XProperty;

/**
 * Makes a property of a calendar as exactly as it is; of one that is not as RFC 5545 has it, just what is written there. So
 * nothing that is wrong with one appointment, or with what nobody reads of it, keeps the others out.
 *
 * @param name its name
 * @param exact what makes one that is as it should be
 */
record AsWritten(String name, PropertyFactory<?> exact) implements PropertyFactory<Property> {
    /** Of the properties of these names; nothing is made of what others say. */
    static List<PropertyFactory<?>> of(List<String> names) {
        List<PropertyFactory<?>> known = new DefaultPropertyFactorySupplier().get();
        List<PropertyFactory<?>> all = new ArrayList<>();
        names.forEach(name -> known.stream()
                .filter(exact -> exact.supports(name))
                .forEach(exact -> all.add(new AsWritten(name, exact))));
        all.add(new NotRead());
        return List.copyOf(all);
    }

    @Override
    public Property createProperty() {
        return exact.createProperty();
    }

    @Override
    public Property createProperty(ParameterList parameters, String value) {
        try {
            return exact.createProperty(parameters, value);
        } catch (RuntimeException notAsItShouldBe) {
            return new XProperty(name, parameters, value);
        }
    }

    @Override
    public boolean supports(String property) {
        return name.equals(property);
    }

    /** Whatever is not read, whether the standard knows it or not. */
    private record NotRead() implements PropertyFactory<Property> {
        private static final String NAME = "X-NOT-READ";

        @Override
        public Property createProperty() {
            return new XProperty(NAME);
        }

        @Override
        public Property createProperty(ParameterList parameters, String value) {
            return createProperty();
        }

        @Override
        public boolean supports(String property) {
            return true;
        }
    }
}
