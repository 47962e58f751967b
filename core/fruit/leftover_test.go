package fruit

import (
	"slices"
	"testing"

	"mellisca/core/guide"
	"mellisca/core/measure"
)

func TestLeftOverFrom(t *testing.T) {
	apple, _ := FindKind("apple")
	if l, ok := LeftOverFrom(apple, "apple-juice"); !ok || l.What != "pulp" || !slices.Equal(l.Products, []string{"applesauce", "apple-butter", "fruit-puree"}) {
		t.Errorf("%+v", l)
	}
	// Whatever is offered is a product, of that fruit, and never the same again; stones are none.
	for _, k := range Kinds() {
		for _, p := range guide.Products() {
			l, ok := LeftOverFrom(k, string(p.ID))
			if ok != (len(l.Products) > 0) {
				t.Errorf("%s of %s: %+v, %v", p.ID, k.ID, l, ok)
			}
			if ok && slices.Contains([]string{"peach", "apricot", "cherry", "plum", "nectarine"}, k.ID) && l.What != "pulp" {
				t.Errorf("%s of %s leaves %s", p.ID, k.ID, l.What)
			}
			for _, made := range l.Products {
				if _, known := guide.FindProduct(guide.Product(made)); !known || made == string(p.ID) {
					t.Errorf("%s of %s is to be made into %s", l.What, p.ID, made)
				}
			}
		}
	}
}

func TestLeftOf(t *testing.T) {
	uses := []Use{{ID: "a", Mass: 20 * measure.Pound}, {ID: "b", Of: "a", Mass: 12 * measure.Pound}, {ID: "c", Mass: 5 * measure.Pound}}
	for of, want := range map[string]measure.Mass{"a": 8 * measure.Pound, "c": 5 * measure.Pound, "b": 0, "x": 0} {
		if got := LeftOf(uses, of); got != want {
			t.Errorf("left of %s: %v, want %v", of, got, want)
		}
	}
}
