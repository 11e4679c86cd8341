/** The token that the server wants back with every change. */
export function csrfToken(): string {
  const cookie = document.cookie.split('; ').find((one) => one.startsWith('XSRF-TOKEN='))
  return cookie ? decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)) : ''
}
