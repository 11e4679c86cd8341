package dipstick.server.hooks;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;

/**
 * What a record system asks (CDS Hooks 2.0, “Calling a CDS Service”). Of what it sends along, only the numbers of the
 * patient are looked at.
 *
 * @param hookInstance by which it tells its requests apart
 */
record HookCall(
        @NotBlank @Size(max = 100) String hook,
        @NotBlank @Size(max = 100) String hookInstance,
        @NotNull @Valid Context context,
        Optional<@Valid Prefetch> prefetch) {
    /** @param patientId the id of the FHIR Patient */
    record Context(@NotBlank @Size(max = 200) String patientId) {}

    /** @param patient absent or null where the record system does not know them */
    record Prefetch(Optional<@Valid Patient> patient) {}

    /** A FHIR Patient (R4), as far as it is looked at. */
    record Patient(
            Optional<@Size(max = 200) String> id, Optional<@Size(max = 1000) List<@Valid Identifier>> identifier) {}

    record Identifier(Optional<@Size(max = 1000) String> system, Optional<@Size(max = 400) String> value) {}

    /** The patient that was sent along. */
    Optional<Patient> patient() {
        return prefetch.flatMap(Prefetch::patient);
    }
}
