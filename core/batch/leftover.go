package batch

import "strings"

// LeftOverID names what is left over from a use of a lot, where a request names lots.
func LeftOverID(lot, use string) string { return lot + "~" + use }

// OfLeftOver parts such a name; ok is false for the id of a lot.
func OfLeftOver(id string) (lot, use string, ok bool) { return strings.Cut(id, "~") }

// leftOver is what a request is made of that was left over from another batch; empty
// where it takes fruit.
func leftOver(in read) string {
	for _, id := range in.lotIDs() {
		if l, ok := in.kitchen.Lots[id]; ok && l.Over != "" {
			return l.Over
		}
	}
	return ""
}
