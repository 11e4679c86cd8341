/** HL7 FHIR R4 as rows: each resource one, its references followed. */
@NullMarked
package dipstick.intake.fhir;

import org.jspecify.annotations.NullMarked;
