package day

import "fmt"

// Step is what is done in a task.
type Step string

// The steps of a batch, in their usual order.
const (
	HotJars Step = "jars"
	Liquid  Step = "liquid"
	Juicer  Step = "juicer" // steaming the juice out
	Press   Step = "press"  // crushing, heating and straining by hand
	Slow    Step = "slow"   // a pot that cooks down by itself
	Dip     Step = "dip"    // into boiling water, till the skins slip
	Fruit   Step = "fruit"
	Heat    Step = "cook" // a hot pack brought to the boil
	Canning Step = "load" // filled, through the canner, out
)

var stepNames = map[Step]string{HotJars: "Hot jars", Liquid: "Liquid", Juicer: "Juicer", Press: "Press and strain", Slow: "Slow pot", Dip: "Dip and peel", Fruit: "Fruit", Heat: "Cook", Canning: "Load"}

// Name says it in a word or two.
func (s Step) Name() string { return stepNames[s] }

// Key names a task for as long as its batch is made in the same way: "fruit/2" is the fruit
// of its batch's second load.
func (t Task) Key() string { return fmt.Sprintf("%s/%d", t.Step, t.Portion) }
