package guide

import "testing"

func TestParts(t *testing.T) {
	parts, n := Parts(), 0
	seen := map[string]bool{}
	for _, p := range parts {
		n += len(p.Rows)
		if seen[p.Name] || p.Title == "" {
			t.Errorf("%s stands twice or has no title", p.Name)
		}
		seen[p.Name] = true
		for _, r := range p.Rows {
			if r.Part != p.Name || r.Product != p.Product {
				t.Errorf("%+v under %s", r, p.Name)
			}
		}
	}
	if n != len(rows) || len(parts) != 29 {
		t.Errorf("%d rows in %d parts", n, len(parts))
	}
}

// TestFingerprintSeesEveryCell changes one cell at a time.
func TestFingerprintSeesEveryCell(t *testing.T) {
	for _, p := range Parts() {
		was := p.Fingerprint()
		for i := range p.Rows {
			for b := range p.Rows[i].Minutes {
				p.Rows[i].Minutes[b]++
				if p.Fingerprint() == was {
					t.Errorf("%s: row %d, band %d changed unseen", p.Name, i, b)
				}
				p.Rows[i].Minutes[b]--
			}
			p.Rows[i].Headspace += 0.25
			if p.Fingerprint() == was {
				t.Errorf("%s: headspace %d changed unseen", p.Name, i)
			}
			p.Rows[i].Headspace -= 0.25
		}
		if p.Fingerprint() != was {
			t.Error("not the same again")
		}
	}
}
