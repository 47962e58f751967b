// Package shelf is what becomes of jars after the canner: what their seals and looks
// mean, what to do with each and by when, and the likely causes of what went wrong.
//
//	f := shelf.Decide(shelf.Jar{SinceOutMs: 13 * hour}, shelf.Finding{Seal: shelf.Unsealed})
//	f.Kind     // shelf.Choose
//	f.Choices  // refrigerate, freeze, process again
//	f.LeftMs   // of the 24 hours
//
// Where two rules could apply the stricter does. Nothing here is ever kept on the shelf
// that was cut short, leaked or stood too long.
package shelf
