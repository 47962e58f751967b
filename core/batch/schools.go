package batch

import (
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/syrup"
)

// A Question is one on which cooks differ, with the schools there are.
type Question struct {
	ID      string
	Ask     string
	Schools []School // the usual one first, refused ones last
}

// School is one way of doing it, with what there is to say for it. A refused one
// cannot be chosen; its reason says why, once and kindly.
type School struct {
	ID      string
	Name    string
	Reason  string
	Refused bool
}

// questions are in the order of the work. A question with one school that is not
// refused is settled, and is there to be explained.
var questions = []Question{
	{"pack", "Raw or hot pack?", []School{
		{"hot", "Hot, where it has been tested", "Heating drives air out of the fruit: less float, better colour after months, more in a jar. For many products the time is shorter too.", false},
		{"raw", "Raw, where it has been tested", "Quicker to fill, and some fruit keeps its shape better. Expect more float and air. Where no raw pack was tested, the batch starts hot.", false},
	}},
	{"sweet", "How sweet?", []School{
		{"light", "Light syrup, 20 °Brix", "Suits most fruit. How sweet it is makes no difference to safety in plain fruit.", false},
		{"very-light", "Very light syrup, 10 °Brix", "About as sweet as the fruit itself: the fewest calories, and the fruit tastes of fruit.", false},
		{"medium", "Medium syrup, 30 °Brix", "For fruit that is a little tart. Firmer fruit and better colour.", false},
		{"heavy", "Heavy syrup, 40 °Brix", "For tart fruit. It is sweet, and fruit floats more easily in it.", false},
		{"apple-juice", "Apple juice", "Sweet without added sugar. It brings its own taste and colour.", false},
		{"water", "Plain water", "As safe as syrup. Fruit softens and pales sooner.", false},
	}},
	{"sugar", "Sugar by weight or by cups?", []School{
		{"as-units", "As I measure everything else", "Cups first for cups and pounds, grams first for grams and litres; the other stands beside it.", false},
		{"weight", "By weight", "Exact: a cup of sugar weighs more or less as it is scooped.", false},
		{"cups", "By cups", "Quick, and close enough: the printed cups come out 1 to 4 °Brix under their name.", false},
	}},
	{"peel", "The skins of peaches", []School{
		{"off", "Off", "The tested time was made with peeled peaches. Nectarines are canned in their skins, if you like them on.", false},
		{"on", "On, for colour and goodness", "Skins carry more that has to be killed and change how heat moves, and nobody has tested a time for that. Can nectarines instead: theirs was tested in the skin.", true},
	}},
	{"browning", "Against browning", []School{
		{"ascorbic", "Ascorbic acid in the water", "Works best: 1 tsp, or six crushed 500 mg tablets of vitamin C, in a gallon of cold water.", false},
		{"bottled-lemon", "Bottled lemon juice in the water", "Works less well, and tastes. It is for colour here, so how strong it is does not matter.", false},
		{"fresh-lemon", "Fresh lemon in the water", "Works less well, and tastes. Fresh is fine for colour; where acid is for safety it must be bottled, since fresh-squeezed is now strong, now weak.", false},
	}},
	{"hot-jars", "Keeping jars hot", []School{
		{"water", "In hot water", "Warm all through and wet, so that hot fruit does not crack them.", false},
		{"dishwasher", "In the dishwasher", "Washed and kept hot in one. Take them out one by one.", false},
		{"oven", "In the oven", "Dry heat is uneven: it strains the glass, which cracks weeks later, and it does not make a jar sterile. Hot water or a dishwasher is kinder.", true},
	}},
	{"juice", "Getting juice out of fruit", []School{
		{"press", "Crushed, heated and strained", "A pot, a mill or press, and a cloth. It wants hands all the while.", false},
		{"steam", "In a steam juicer", "It runs by itself for an hour or more; only its base wants hot water, every 45 to 60 minutes, and is never to run dry.", false},
	}},
	{"lids", "The flat lids", []School{
		{"washed", "Washed, at room temperature", "Enough for many lids made today. Go by what their maker says; new each time.", false},
		{"warm", "Kept warm", "Some makers ask for it. Warm, not boiling.", false},
		{"simmered", "Simmered", "Some makers ask for it, for older sealing rings. Boiling can thin the ring.", false},
	}},
	{"process", "Which process?", []School{
		{"boiling-water", "Boiling water", "Every tested row is for it.", false},
		{"steam", "Atmospheric steam", "The same minutes with less water to heat. Half-pints to quarts, one tier, 45 minutes at most with altitude: beyond that the batch starts in boiling water.", false},
		{"none", "None: fill hot, close, turn over", "A lid that pulls down shows a vacuum, not that what spoils food is dead. Jars made so belong in the refrigerator and are eaten within days.", true},
	}},
	{"firmer", "Shorter times for firmer fruit", []School{
		{"never", "Never shorter", "The time is for heat to reach the middle of the jar. For firm fruit there are firm-ripe or clingstone fruit, a hot pack, or a smaller jar.", false},
		{"shorter", "A few minutes less", "Nothing shows from outside whether the middle was hot long enough, and the worst that grows there gives no sign at all.", true},
	}},
	{"altitude", "Altitude", []School{
		{"bands", "The four columns of the table", "Up to 1,000, 3,000 and 6,000 ft, and above. Each column counts up to and with its top.", false},
		{"thumb", "A rule of thumb, or none", "A minute for each thousand feet falls short of the table at most heights. Water that boils cooler needs what was tested.", true},
	}},
	{"rest", "Rest after the boil", []School{
		{"5", "5 minutes, lid off, heat off", "Lets the jars settle, so that less liquid is drawn out when they are lifted.", false},
		{"10", "10 minutes", "Helps where jars keep losing liquid.", false},
		{"0", "Straight out", "The liquid in the jars is still boiling then: it is pushed out past the lid and takes the seal with it.", true},
	}},
	{"bands-on", "Bands on the shelf", []School{
		{"off", "Off", "A band hides a lid that has let go, and rusts. Off, washed and dried, every jar can be seen.", false},
		{"on", "Left on", "They can hold a lid down that has failed, so that it looks sealed. Keep them for the next batch.", true},
	}},
	{"keeps", "How long it keeps", []School{
		{"12", "Best within 12 months", "A mark of quality, not a bomb clock. Older jars are flagged, looked over and eaten first.", false},
	}},
	{"recipe", "Whose recipe?", []School{
		{"named", "Tested rows, or a source I can name", "A recipe of your own counts with its published source: title, year, page. It is marked wherever it shows.", false},
		{"family", "It always went well", "Most jars go well in any case, which is why it seems to prove something. Find the published source of it, or freeze it.", true},
	}},
}

// Questions lists what cooks differ on, in the order of the work.
func Questions() []Question { return append([]Question(nil), questions...) }

// MayChoose says whether a question has such a school, and it is not refused.
func MayChoose(question, school string) bool {
	for _, q := range questions {
		for _, s := range q.Schools {
			if q.ID == question && s.ID == school {
				return !s.Refused
			}
		}
	}
	return false
}

// School is the one that the kitchen follows in a question: the chosen one, or
// the usual one.
func (k Kitchen) School(question string) string {
	if c := k.Schools[question]; MayChoose(question, c) {
		return c
	}
	for _, q := range questions {
		if q.ID == question {
			return q.Schools[0].ID
		}
	}
	return ""
}

// First is the sentence that a new batch of a product starts from, by the schools
// and the jars of the kitchen: raw, or steam, only where that has been tested at
// its altitude.
func First(product guide.Product, k Kitchen) Request {
	info, _ := guide.FindProduct(product)
	r := Request{Product: string(product), Kind: info.Kind, Pack: guide.Hot, Method: guide.BoilingWater, Amount: "7 jars", Jar: firstJar(k)}
	if product == "peaches" {
		r.Kind, r.Amount = "freestone", "12 lb"
	}
	if len(info.Forms) > 0 {
		r.Form = info.Forms[0]
	}
	r.Liquid = firstLiquid(product, k)
	if len(rowsOf(product, guide.Hot)) == 0 && len(rowsOf(product, guide.Raw)) > 0 {
		r.Pack = guide.Raw
	}
	if k.School("pack") == "raw" && testedAs(r, k, func(r *Request) { r.Pack = guide.Raw }) {
		r.Pack = guide.Raw
	}
	if k.School("process") == "steam" && testedAs(r, k, func(r *Request) { r.Method = guide.Steam }) {
		r.Method = guide.Steam
	}
	return r
}

// firstJar is a quart where the kitchen has one, else its largest up to that.
func firstJar(k Kitchen) jar.ID {
	jars := JarsOf(k)
	best := jars[0]
	for _, j := range jars {
		if j.TestedAs <= jar.Quart && (best.TestedAs > jar.Quart || j.Capacity > best.Capacity) {
			best = j
		}
	}
	return best.ID
}

func firstLiquid(product guide.Product, k Kitchen) Liquid {
	want := Liquid{Kind: Syrup, Strength: syrup.Strength(k.School("sweet")), Sweetener: syrup.Sugar}
	switch s := k.School("sweet"); s {
	case "water", "apple-juice":
		want = Liquid{Kind: LiquidKind(s), Sweetener: syrup.Sugar}
	}
	l, _ := want.chosen(product)
	return l
}

func rowsOf(product guide.Product, pack guide.Pack) (rows []guide.Row) {
	for _, r := range guide.Rows() {
		if r.Product == product && r.Pack == pack {
			rows = append(rows, r)
		}
	}
	return rows
}

func testedAs(r Request, k Kitchen, change func(*Request)) bool {
	change(&r)
	p, err := Make(r, k)
	return err == nil && (p.Status == Tested || p.Status == Incomplete && len(rowsOf(guide.Product(r.Product), r.Pack)) > 0)
}
