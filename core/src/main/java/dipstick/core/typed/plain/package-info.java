/**
 * What people say, said in the words of the sheet: “women over 65 not seen for 3 years” becomes lines that
 * {@link dipstick.core.typed.TypedCriteria} reads. Whatever is not understood is left as it stands, so that it is refused
 * there; what may mean two things becomes two lines.
 */
package dipstick.core.typed.plain;
