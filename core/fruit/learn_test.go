package fruit

import (
	"math"
	"math/rand/v2"
	"testing"
)

func TestStudentQuantile(t *testing.T) {
	// From the printed tables of Student's t, one-sided 0.90 and 0.975.
	for _, c := range []struct{ p, freedom, want float64 }{
		{0.9, 1, 3.078}, {0.9, 8, 1.397}, {0.9, 30, 1.310}, {0.975, 5, 2.571}, {0.975, 120, 1.980}, {0.9, 1e6, 1.2816},
	} {
		if got := studentQuantile(c.p, c.freedom); math.Abs(got-c.want) > 0.001 {
			t.Errorf("t of %v with %v degrees: %.4f, want %v", c.p, c.freedom, got, c.want)
		}
	}
}

func TestBeliefStartsFromTheGuide(t *testing.T) {
	low, likely, high := NewBelief(16, 19.6, 24).Range()
	if math.Abs(likely-19.6) > 1e-9 || math.Abs(low-16) > 0.01 || math.Abs(high-24) > 0.02 {
		t.Errorf("%.3f, %.3f, %.3f", low, likely, high)
	}
}

func TestBeliefLearns(t *testing.T) {
	b := NewBelief(0.8, 1, 1.25)
	if b.Learn(nil) != b {
		t.Error("nothing seen changed it")
	}
	poor := b.Learn([]float64{0.8, 0.82, 0.78, 0.81, 0.8, 0.79})
	low, likely, high := poor.Range()
	if likely > 0.9 || likely < 0.8 || low >= likely || high <= likely || poor.Seen() != 6 {
		t.Errorf("%.3f, %.3f, %.3f", low, likely, high)
	}
	l0, _, h0 := b.Range()
	if high/low >= h0/l0 {
		t.Errorf("six batches alike did not narrow it: %.3f to %.3f", low, high)
	}
	wild := b.Learn([]float64{0.5, 2, 0.6, 1.7})
	if l, _, h := wild.Range(); h/l <= h0/l0 {
		t.Errorf("four batches far apart did not widen it: %.3f to %.3f", l, h)
	}
	// In whatever order, all at once or by turns: the same.
	seen := []float64{0.9, 1.2, 1.05, 0.7}
	once, turns := b.Learn(seen), b
	for _, x := range []float64{0.7, 1.05, 1.2, 0.9} {
		turns = turns.Learn([]float64{x})
	}
	for i, pair := range [][2]float64{{once.mu, turns.mu}, {once.kappa, turns.kappa}, {once.alpha, turns.alpha}, {once.beta, turns.beta}} {
		if math.Abs(pair[0]-pair[1]) > 1e-9 {
			t.Errorf("part %d: %v and %v", i, pair[0], pair[1])
		}
	}
}

// TestRangeCoversFourInFive simulates cooks whose yields lie about the guide's with
// a bias and a scatter of their own, and sees how often the next batch lies in the
// range that was told before it, after nothing to twenty batches.
func TestRangeCoversFourInFive(t *testing.T) {
	chance := rand.New(rand.NewPCG(7, 11))
	start := NewBelief(16, 19.6, 24)
	for _, after := range []int{0, 1, 3, 8, 20} {
		in := 0
		const cooks = 6000
		for range cooks {
			bias := chance.NormFloat64() * 0.10
			scatter := 0.07 + 0.09*chance.Float64()
			batch := func() float64 { return 19.6 * math.Exp(bias+scatter*chance.NormFloat64()) }
			seen := make([]float64, after)
			for i := range seen {
				seen[i] = batch()
			}
			low, _, high := start.Learn(seen).Range()
			if next := batch(); next >= low && next <= high {
				in++
			}
		}
		share := float64(in) / cooks
		t.Logf("after %d batches the range holds %.1f %%", after, 100*share)
		if share < 0.75 || share > 0.85 {
			t.Errorf("after %d batches the range holds %.1f %%, not 75 to 85", after, 100*share)
		}
	}
}

func TestPriorQuantile(t *testing.T) {
	if got := studentQuantile((1+coverage)/2, 2*priorAlpha); math.Abs(got-priorQuantile) > 1e-12 {
		t.Errorf("%.16f, written %.16f", got, priorQuantile)
	}
}
