package batch

import "mellisca/core/measure"

// bySource is what the cook's own source asks for, beside what every jar needs.
func (p *Plan) bySource(in read) (prepare, inEachJar []string) {
	prepare = []string{"Prepare it exactly as " + in.source.Cite() + " says."}
	if p.Own.SterileMinutes > 0 {
		prepare = append(prepare, "Sterilise the empty jars: "+minutes(p.Own.SterileMinutes)+" in boiling water at this altitude.")
	} else {
		prepare = append(prepare, hotJars(in.kitchen))
	}
	prepare = append(prepare, flatLids(in.kitchen))
	if in.source.Acid != "" {
		inEachJar = append(inEachJar, "For safety, by your source: "+in.source.Acid)
	}
	if a := p.Own.Acid; a != nil {
		inEachJar = append(inEachJar, "The guide asks for at least "+acidLine(*a)+" of such fruit. It may be more, never less.")
	}
	return prepare, append(inEachJar,
		measure.Inches(in.source.Headspace).Text(in.kitchen.Units)+" of headspace, after the bubbles are out",
		"A wiped rim, a new flat lid, a band fingertip tight")
}
