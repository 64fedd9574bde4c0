/** Opens the big screen in its own window, or brings the open one to the front. */
export function openBigScreen(sessionId: number): void {
  window.open(`/screen/${sessionId}`, `lantern-screen-${sessionId}`, 'popup,width=1280,height=800')
}
