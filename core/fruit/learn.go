package fruit

import "math"

// Belief is what is thought of a positive quantity that varies from batch to batch,
// such as jars a pound: that its logarithm is normal, with a mean and a spread that
// are themselves learned. It is the conjugate normal-inverse-gamma update:
//
//	κn = κ0 + n,  μn = (κ0·μ0 + n·x̄)/κn,  αn = α0 + n/2
//	βn = β0 + ½·Σ(x − x̄)² + κ0·n·(x̄ − μ0)²/(2·κn)
//
// with x the logarithms of what was seen; the next one then follows Student's t
// with 2·αn degrees of freedom about μn, scaled by √(βn·(κn + 1)/(αn·κn)). A batch
// is taken in or forgotten by making the belief anew from those that count.
type Belief struct {
	mu, kappa, alpha, beta float64
	n                      int
}

// How much the guide's range is worth before anything was seen: its middle counts
// as much as two batches, its width as much as eight.
const (
	priorKappa = 2.0
	priorAlpha = 4.0
)

// coverage is the part of batches that a range is meant to hold.
const coverage = 0.80

// priorQuantile is Student's t with 2·priorAlpha degrees of freedom at (1+coverage)/2:
// most plans have nothing to learn from, and ask for no other.
const priorQuantile = 1.3968153097438651

// quantile is how many scales half a range takes.
func quantile(freedom float64) float64 {
	if freedom == 2*priorAlpha {
		return priorQuantile
	}
	return studentQuantile((1+coverage)/2, freedom)
}

// NewBelief starts from a likely value and the range that four batches in five lie
// in, all over 0, low under high.
func NewBelief(low, likely, high float64) Belief {
	b := Belief{mu: math.Log(likely), kappa: priorKappa, alpha: priorAlpha}
	half := math.Log(high/low) / 2
	scale := half / quantile(2*priorAlpha)
	b.beta = scale * scale * b.alpha * b.kappa / (b.kappa + 1)
	return b
}

// Learn is the belief after these were seen, all over 0.
func (b Belief) Learn(seen []float64) Belief {
	n := float64(len(seen))
	if n == 0 {
		return b
	}
	mean, square := 0.0, 0.0
	for _, x := range seen {
		mean += math.Log(x) / n
	}
	for _, x := range seen {
		d := math.Log(x) - mean
		square += d * d
	}
	off := mean - b.mu
	return Belief{
		mu:    (b.kappa*b.mu + n*mean) / (b.kappa + n),
		kappa: b.kappa + n,
		alpha: b.alpha + n/2,
		beta:  b.beta + square/2 + b.kappa*n*off*off/(2*(b.kappa+n)),
		n:     b.n + len(seen),
	}
}

// Seen is how many batches it was learned from.
func (b Belief) Seen() int { return b.n }

// Range is the likely value and the range that four in five of the next ones lie in.
func (b Belief) Range() (low, likely, high float64) {
	scale := math.Sqrt(b.beta * (b.kappa + 1) / (b.alpha * b.kappa))
	half := scale * quantile(2*b.alpha)
	return math.Exp(b.mu - half), math.Exp(b.mu), math.Exp(b.mu + half)
}

// studentQuantile is the value under which Student's t with so many degrees of
// freedom lies with probability p, over 1/2.
func studentQuantile(p, freedom float64) float64 {
	low, high := 0.0, 100.0
	for range 80 {
		if mid := (low + high) / 2; studentCDF(mid, freedom) < p {
			low = mid
		} else {
			high = mid
		}
	}
	return (low + high) / 2
}

// studentCDF is the probability of Student's t under t, for t of 0 or more.
func studentCDF(t, freedom float64) float64 {
	return 1 - incompleteBeta(freedom/2, 0.5, freedom/(freedom+t*t))/2
}

// incompleteBeta is the regularised incomplete beta function, by its continued
// fraction.
func incompleteBeta(a, b, x float64) float64 {
	switch {
	case x <= 0:
		return 0
	case x >= 1:
		return 1
	}
	la, _ := math.Lgamma(a)
	lb, _ := math.Lgamma(b)
	lab, _ := math.Lgamma(a + b)
	front := math.Exp(lab - la - lb + a*math.Log(x) + b*math.Log1p(-x))
	if x < (a+1)/(a+b+2) {
		return front * betaFraction(a, b, x) / a
	}
	return 1 - front*betaFraction(b, a, 1-x)/b
}

func betaFraction(a, b, x float64) float64 {
	const tiny = 1e-300
	c, d := 1.0, 1-(a+b)*x/(a+1)
	if math.Abs(d) < tiny {
		d = tiny
	}
	d = 1 / d
	f := d
	for m := 1.0; m < 300; m++ {
		for _, k := range [...]float64{m * (b - m) * x / ((a + 2*m - 1) * (a + 2*m)), -(a + m) * (a + b + m) * x / ((a + 2*m) * (a + 2*m + 1))} {
			d = 1 + k*d
			if math.Abs(d) < tiny {
				d = tiny
			}
			c = 1 + k/c
			if math.Abs(c) < tiny {
				c = tiny
			}
			d = 1 / d
			f *= c * d
		}
		if math.Abs(c*d-1) < 1e-12 {
			break
		}
	}
	return f
}
