package guide

import "mellisca/core/measure"

// Band is a column of the table: the altitudes, in whole feet and both
// inclusive, that share its minutes. Nil means open.
type Band struct {
	FromFt, ToFt *int
}

var bandTops = [...]int{1000, 3000, 6000}

// bandOf is the column for an altitude in whole feet. A band is inclusive at
// its top: 1,000 ft is in the first, 1,001 ft in the second. Below sea level is
// the first.
func bandOf(feet int) int {
	for i, top := range bandTops {
		if feet <= top {
			return i
		}
	}
	return len(bandTops)
}

// Bands lists the columns of the table.
func Bands() []Band {
	bands := make([]Band, len(bandTops)+1)
	for i := range bands {
		if i > 0 {
			from := bandTops[i-1] + 1
			bands[i].FromFt = &from
		}
		if i < len(bandTops) {
			to := bandTops[i]
			bands[i].ToFt = &to
		}
	}
	return bands
}

// BandOf is the band that an altitude lies in.
func BandOf(a measure.Altitude) Band { return Bands()[bandOf(a.Feet())] }

// sterileMinutes is how long jars boil to be sterile at an altitude in whole
// feet: 10 minutes to 1,000 ft, one more for each started 1,000 ft above.
// Source: Complete Guide to Home Canning, Guide 1 (2015).
func sterileMinutes(feet int) int {
	if feet <= 1000 {
		return 10
	}
	return 10 + (feet-1000+999)/1000
}

// NextBand is the lowest altitude of the band above the one that a lies in, and
// how many feet it is away; ok is false in the last band.
func NextBand(a measure.Altitude) (from measure.Altitude, feet int, ok bool) {
	b := bandOf(a.Feet())
	if b == len(bandTops) {
		return 0, 0, false
	}
	ft := bandTops[b] + 1
	return measure.Altitude(ft) * measure.Altitude(measure.Foot), ft - a.Feet(), true
}
