package canner

import (
	"math"
	"slices"
)

// circle is a jar seen from above with half the gap round it, or where one may
// stand; all in centimetres.
type circle struct{ x, y, r float64 }

// outline is the inside of a pot seen from above, its middle at the origin, with
// half the gap round it.
type outline struct {
	radius float64 // of a round pot; 0 for a rectangular one
	halfX  float64
	halfY  float64
}

// area is how much floor there is, in square centimetres.
func (o outline) area() float64 {
	if o.radius > 0 {
		return math.Pi * o.radius * o.radius
	}
	return 4 * o.halfX * o.halfY
}

// narrowest is the radius of the largest circle that fits alone.
func (o outline) narrowest() float64 {
	if o.radius > 0 {
		return o.radius
	}
	return min(o.halfX, o.halfY)
}

// wall is how far a circle stands out over the wall, and which way that is, as
// the parts of a step back.
func (o outline) wall(x, y, r float64) (outX, outY float64) {
	if o.radius > 0 {
		if d := math.Hypot(x, y); d+r > o.radius {
			over := d + r - o.radius
			return over * x / d, over * y / d
		}
		return 0, 0
	}
	if over := math.Abs(x) + r - o.halfX; over > 0 {
		outX = math.Copysign(over, x)
	}
	if over := math.Abs(y) + r - o.halfY; over > 0 {
		outY = math.Copysign(over, y)
	}
	return outX, outY
}

// touch is how far circles may stand into each other or the wall, in centimetres:
// a tenth of a millimetre of the gap of six.
const touch = 0.01

// search looks for places of circles in an outline by pushing apart what overlaps,
// from many beginnings. It is deterministic: the same circles, outline and effort
// give the same places.
type search struct {
	in     outline
	r      []float64 // largest first
	at     []float64 // x and y by turns
	grad   []float64
	effort int // energy evaluations left
	rng    rng

	// for the descent
	dir, last, lastGrad []float64
	steps               [memory]pair
}

const memory = 6

// pair is one step of the descent with the change of the gradient over it.
type pair struct {
	s, y []float64
	rho  float64
}

// fit finds room for all circles of the given radii, within an effort counted in
// evaluations of all overlaps (each takes about as long as the square of their
// number). Where it finds none the circles may still fit.
func fit(in outline, radii []float64, effort int) ([]circle, bool) {
	spots, ok, _ := fitWithin(in, radii, effort)
	return spots, ok
}

// fitWithin is fit that also gives the effort that is left.
func fitWithin(in outline, radii []float64, effort int) ([]circle, bool, int) {
	n := len(radii)
	if n == 0 {
		return nil, true, effort
	}
	if !mayFit(in, radii) {
		return nil, false, effort
	}
	s := newSearch(in, radii, effort)
	cs, ok := s.run()
	return cs, ok, s.effort
}

// run searches until all stand, or the effort is spent.
func (s *search) run() ([]circle, bool) {
	n := len(s.r)
	for s.effort > 0 {
		// A new beginning, then the worst one moved or two swapped as long as that helps.
		s.scatter()
		now := s.settle()
		for tries := 0; !s.settled(now) && tries < 8+2*n && s.effort > 0; tries++ {
			before := slices.Clone(s.at)
			s.shake()
			if next := s.settle(); next < now*(1-1e-4) {
				now, tries = next, 0
			} else {
				copy(s.at, before)
			}
		}
		if s.settled(now) {
			return s.circles(), true
		}
	}
	return nil, false
}

func newSearch(in outline, radii []float64, effort int) *search {
	n := len(radii)
	s := &search{in: in, r: slices.Clone(radii), at: make([]float64, 2*n), grad: make([]float64, 2*n), effort: effort}
	slices.SortFunc(s.r, func(a, b float64) int { return int(math.Copysign(1, b-a)) })
	seed := uint64(n)*0x9e3779b97f4a7c15 + math.Float64bits(in.area())
	for _, r := range s.r {
		seed = seed*0x100000001b3 ^ math.Float64bits(r)
	}
	s.rng = rng(seed | 1)
	s.dir, s.last, s.lastGrad = make([]float64, 2*n), make([]float64, 2*n), make([]float64, 2*n)
	for i := range s.steps {
		s.steps[i] = pair{s: make([]float64, 2*n), y: make([]float64, 2*n)}
	}
	return s
}

// mayFit passes over what cannot fit: by floor, by the largest alone, and, in a
// round pot, by as many equal circles as the smallest of the largest few.
func mayFit(in outline, radii []float64) bool {
	sorted := slices.Clone(radii)
	slices.Sort(sorted)
	slices.Reverse(sorted)
	floor := 0.0
	for i, r := range sorted {
		floor += math.Pi * r * r
		if r > in.narrowest()+touch {
			return false
		}
		if n := i + 1; in.radius > 0 && n < len(ratios) && (in.radius+touch)/r < ratios[n]*(1-1e-4) {
			return false
		}
	}
	return floor <= in.area()
}

// scatter starts anywhere inside.
func (s *search) scatter() {
	for i := range s.r {
		s.at[2*i], s.at[2*i+1] = s.anywhere(s.r[i])
	}
}

func (s *search) anywhere(r float64) (x, y float64) {
	if s.in.radius > 0 {
		reach := max(0, s.in.radius-r) * math.Sqrt(s.rng.float())
		sin, cos := math.Sincos(2 * math.Pi * s.rng.float())
		return reach * cos, reach * sin
	}
	return max(0, s.in.halfX-r) * (2*s.rng.float() - 1), max(0, s.in.halfY-r) * (2*s.rng.float() - 1)
}

// shake moves the circle that is pressed hardest, or another, into the emptiest of
// a few places, or swaps two of different size.
func (s *search) shake() {
	n := len(s.r)
	if n > 1 && s.rng.float() < 0.4 {
		i, j := s.rng.below(n), s.rng.below(n)
		if math.Abs(s.r[i]-s.r[j]) > 1e-9 {
			s.at[2*i], s.at[2*j] = s.at[2*j], s.at[2*i]
			s.at[2*i+1], s.at[2*j+1] = s.at[2*j+1], s.at[2*i+1]
			return
		}
	}
	i := s.pressed()
	if s.rng.float() < 0.3 {
		i = s.rng.below(n)
	}
	emptiest := math.Inf(1)
	var bx, by float64
	for range 12 {
		x, y := s.anywhere(s.r[i])
		if over := s.overlapAt(i, x, y); over < emptiest {
			emptiest, bx, by = over, x, y
		}
	}
	s.at[2*i], s.at[2*i+1] = bx, by
}

// pressed is the circle with the most overlap.
func (s *search) pressed() int {
	worst, at := -1.0, 0
	for i := range s.r {
		if over := s.overlapAt(i, s.at[2*i], s.at[2*i+1]) * (0.8 + 0.4*s.rng.float()); over > worst {
			worst, at = over, i
		}
	}
	return at
}

// overlapAt is the energy of one circle if it stood at x, y.
func (s *search) overlapAt(i int, x, y float64) float64 {
	ox, oy := s.in.wall(x, y, s.r[i])
	sum := ox*ox + oy*oy
	for j := range s.r {
		if j == i {
			continue
		}
		dx, dy, apart := x-s.at[2*j], y-s.at[2*j+1], s.r[i]+s.r[j]
		if d2 := dx*dx + dy*dy; d2 < apart*apart {
			over := apart - math.Sqrt(d2)
			sum += over * over
		}
	}
	return sum
}

// energy is the sum of all overlaps squared, with its gradient.
func (s *search) energy() float64 {
	s.effort--
	clear(s.grad)
	sum := 0.0
	for i, ri := range s.r {
		x, y := s.at[2*i], s.at[2*i+1]
		ox, oy := s.in.wall(x, y, ri)
		sum += ox*ox + oy*oy
		gx, gy := 2*ox, 2*oy
		for j := i + 1; j < len(s.r); j++ {
			dx, dy, apart := x-s.at[2*j], y-s.at[2*j+1], ri+s.r[j]
			d2 := dx*dx + dy*dy
			if d2 >= apart*apart {
				continue
			}
			d := math.Sqrt(d2)
			over := apart - d
			sum += over * over
			if d < 1e-9 {
				dx, dy, d = 1e-9, 0, 1e-9
			}
			f := 2 * over / d
			gx -= f * dx
			gy -= f * dy
			s.grad[2*j] += f * dx
			s.grad[2*j+1] += f * dy
		}
		s.grad[2*i] += gx
		s.grad[2*i+1] += gy
	}
	return sum
}

// settled says whether no circle stands into another by more than touch.
func (s *search) settled(energy float64) bool { return energy < touch*touch }

// settle goes downhill to where pushing helps no more, by the limited-memory
// quasi-Newton method, and gives the energy there.
func (s *search) settle() float64 {
	e := s.energy()
	kept := 0
	for range 200 {
		if e < touch*touch*0.25 || s.effort <= 0 {
			break
		}
		slope := s.direction(kept)
		if slope >= 0 {
			kept = 0
			slope = s.direction(0)
		}
		if slope > -1e-14 {
			break
		}
		copy(s.last, s.at)
		copy(s.lastGrad, s.grad)
		step, next := 1.0, 0.0
		if kept == 0 {
			step = 0.25
		}
		for range 12 {
			for k := range s.at {
				s.at[k] = s.last[k] + step*s.dir[k]
			}
			if next = s.energy(); next <= e+1e-4*step*slope {
				break
			}
			step *= 0.4
		}
		if next > e {
			copy(s.at, s.last)
			break
		}
		gain := e - next
		e = next
		if gain < 1e-7*e+1e-12 {
			break
		}
		kept = s.remember(kept)
	}
	return e
}

// direction sets dir by the last kept steps and gives its slope.
func (s *search) direction(kept int) (slope float64) {
	for k, g := range s.grad {
		s.dir[k] = -g
	}
	var alpha [memory]float64
	n := min(kept, memory)
	for i := 0; i < n; i++ {
		p := &s.steps[(kept-1-i)%memory]
		alpha[i] = p.rho * dot(p.s, s.dir)
		axpy(s.dir, -alpha[i], p.y)
	}
	if n > 0 {
		p := &s.steps[(kept-1)%memory]
		scale := 1 / (p.rho * dot(p.y, p.y))
		for k := range s.dir {
			s.dir[k] *= scale
		}
	}
	for i := n - 1; i >= 0; i-- {
		p := &s.steps[(kept-1-i)%memory]
		axpy(s.dir, alpha[i]-p.rho*dot(p.y, s.dir), p.s)
	}
	return dot(s.dir, s.grad)
}

// remember keeps the step just made, where it bends the right way.
func (s *search) remember(kept int) int {
	p := &s.steps[kept%memory]
	for k := range s.at {
		p.s[k], p.y[k] = s.at[k]-s.last[k], s.grad[k]-s.lastGrad[k]
	}
	sy := dot(p.s, p.y)
	if sy < 1e-14 {
		return kept
	}
	p.rho = 1 / sy
	return kept + 1
}

func dot(a, b []float64) float64 {
	sum := 0.0
	for i := range a {
		sum += a[i] * b[i]
	}
	return sum
}

func axpy(a []float64, by float64, b []float64) {
	for i := range a {
		a[i] += by * b[i]
	}
}

// circles are the places found, in the order of r.
func (s *search) circles() []circle {
	cs := make([]circle, len(s.r))
	for i, r := range s.r {
		cs[i] = circle{s.at[2*i], s.at[2*i+1], r}
	}
	return cs
}

// rng is a small generator of its own, so that core needs no chance from outside.
type rng uint64

func (g *rng) next() uint64 {
	x := uint64(*g)
	x ^= x << 13
	x ^= x >> 7
	x ^= x << 17
	*g = rng(x)
	return x * 0x2545f4914f6cdd1d
}

// float is from 0 up to 1.
func (g *rng) float() float64 { return float64(g.next()>>11) / (1 << 53) }

// below is a whole number from 0 up to n.
func (g *rng) below(n int) int { return int(g.next() >> 33 % uint64(n)) }
