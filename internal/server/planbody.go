package server

// planBody is the plan of a batch in words and figures ready to be shown.
type planBody struct {
	Status       string        `json:"status" enum:"tested,own-source,refused,incomplete"`
	Headline     string        `json:"headline" doc:"what is packed, in a line"`
	ProductName  string        `json:"productName"`
	Request      requestBody   `json:"request" doc:"the request with what was left out filled in"`
	Missing      []missingBody `json:"missing" nullable:"false"`
	Time         *timeBody     `json:"time" doc:"null unless tested or by an own source"`
	Reasons      []codeText    `json:"reasons" nullable:"false"`
	Alternatives []offerBody   `json:"alternatives" nullable:"false"`
	Instead      []wayText     `json:"instead" nullable:"false"`
	Jar          JarBody       `json:"jar"`
	Altitude     string        `json:"altitude" doc:"in words; empty where not known"`
	Jars         *jarsBody     `json:"jars"`
	Fruit        *fruitBody    `json:"fruit"`
	AmountNote   string        `json:"amountNote"`
	MadeOf       string        `json:"madeOf" doc:"what was left over from another batch; empty: fruit"`
	LotNote      string        `json:"lotNote" doc:"that the lots do not hold enough; empty where they do"`
	Short        string        `json:"short" doc:"what the stock does not have; empty where it has all or was not counted"`
	Counted      bool          `json:"counted" doc:"jars were counted, so that the fruit can be spread over them"`
	Costs        *costsBody    `json:"costs" doc:"null where nothing was priced"`
	CookUps      string        `json:"cookUps" doc:"how it goes through the cooking pots; empty where none is known"`
	Preparing    string        `json:"preparing" doc:"how long the fruit takes to get ready; empty where it cannot be told"`
	Liquid       *pourBody     `json:"liquid" doc:"null where the product brings its own"`
	Shares       *sharesBody   `json:"shares" doc:"the varieties that it is blended of; null where none were said"`
	Blendable    bool          `json:"blendable" doc:"varieties may be blended in it"`
	Recipe       *recipeBody   `json:"recipe" doc:"what goes into the pot of fillings, sauces, butters, juices and spreads, with what there is to know"`
	Canner       cannerBody    `json:"canner"`
	Prepare      []string      `json:"prepare" nullable:"false"`
	InEachJar    []string      `json:"inEachJar" nullable:"false"`
	Cautions     []codeText    `json:"cautions" nullable:"false"`
	Why          []whyBody     `json:"why" nullable:"false" doc:"what each answer rests on"`
}

type whyBody struct {
	About  string   `json:"about" enum:"time,refusal,jars,liquid,recipe,loads"`
	Title  string   `json:"title"`
	Lines  []string `json:"lines" nullable:"false"`
	Source string   `json:"source" doc:"empty where the figure is ours"`
}

type missingBody struct {
	Field string `json:"field"`
	Text  string `json:"text"`
}

type timeBody struct {
	Minutes        int     `json:"minutes"`
	Band           string  `json:"band" doc:"3,001 to 6,000 ft"`
	TestedAs       string  `json:"testedAs"`
	Source         string  `json:"source"`
	Own            bool    `json:"own" doc:"by the cook's own source, not a tested row here"`
	Headspace      string  `json:"headspace"`
	HeadspaceCm    float64 `json:"headspaceCm"`
	Water          string  `json:"water" doc:"over the jars; empty in steam"`
	SterileMinutes int     `json:"sterileMinutes" doc:"0 where clean and hot is enough"`
	Acid           string  `json:"acid" doc:"empty where the fruit is acid enough"`
}

// offerBody is a tested way, as a button that changes the sentence.
type offerBody struct {
	Label   string      `json:"label"`
	Minutes int         `json:"minutes"`
	Request requestBody `json:"request"`
}

type JarBody struct {
	ID         string  `json:"id"`
	One        string  `json:"one"`
	Many       string  `json:"many"`
	CapacityMl float64 `json:"capacityMl"`
	DiameterCm float64 `json:"diameterCm"`
	HeightCm   float64 `json:"heightCm"`
	Mouth      string  `json:"mouth" enum:"regular,wide"`
}

type jarsBody struct {
	Planned int            `json:"planned"`
	Text    string         `json:"text" doc:"5 quarts"`
	Sizes   []FilledFields `json:"sizes" nullable:"false" doc:"of a batch in several sizes"`
	Range   string         `json:"range" doc:"empty where the cook gave the jars"`
	Learned string         `json:"learned" doc:"that it goes by the cook's own batches; empty where it does not"`
	Ready   int            `json:"ready" doc:"how many to have ready"`
}

type fruitBody struct {
	Text  string `json:"text"`
	Range string `json:"range"`
}

type measureBody struct {
	Name   string `json:"name"`
	Amount string `json:"amount" doc:"in the cook's own measures"`
	Beside string `json:"beside" doc:"the same in the other ones"`
}

type pourBody struct {
	Name      string        `json:"name"`
	Total     string        `json:"total"`
	PerJar    string        `json:"perJar"`
	Brix      *float64      `json:"brix" doc:"null for water and juices"`
	Nearest   string        `json:"nearest" doc:"the named strength near to it"`
	Measures  []measureBody `json:"measures" nullable:"false" doc:"what to measure out; none for water and juices"`
	Published string        `json:"published" doc:"the printed cup measure of this very load, or empty"`
	Spare     string        `json:"spare"`
	Notes     []string      `json:"notes" nullable:"false"`
	Left      string        `json:"left" doc:"what will be over, and how to keep or use it"`
	CutOut    string        `json:"cutOut" doc:"how sweet the jar comes out; empty where it cannot be told"`
}

type recipeBody struct {
	Title       string        `json:"title"`
	AsPrinted   bool          `json:"asPrinted"`
	Scaled      bool          `json:"scaled" doc:"from a published recipe"`
	Notes       []string      `json:"notes" nullable:"false"`
	Ingredients []measureBody `json:"ingredients" nullable:"false"`
	Acid        string        `json:"acid" doc:"the ingredient that may never be reduced"`
}

// placedBody is a jar where it stands in the canner, from the middle.
type placedBody struct {
	JarID      string  `json:"jarId"`
	One        string  `json:"one"`
	DiameterCm float64 `json:"diameterCm"`
	XCm        float64 `json:"xCm"`
	YCm        float64 `json:"yCm"`
}

// tierBody is the jars of one tier.
type tierBody struct {
	Jars []placedBody `json:"jars" nullable:"false"`
}

type loadBody struct {
	Jars    int        `json:"jars"`
	Text    string     `json:"text" doc:"6 quarts and 2 pints"`
	Minutes int        `json:"minutes" doc:"its own time, the longest of its jars; 0 where there is none"`
	Mixed   bool       `json:"mixed" doc:"jars of several sizes: the longest time rules"`
	Tiers   []tierBody `json:"tiers" nullable:"false" doc:"from below"`
}

// loadOfferBody is another way to load, with the sentence that takes it.
type loadOfferBody struct {
	Text    string       `json:"text"`
	Request *requestBody `json:"request" doc:"null where there is nothing to change"`
}

// sideJar is a jar as it is seen from the side of the canner.
type sideJar struct {
	XCm        float64 `json:"xCm" doc:"of its middle, from the middle"`
	FootCm     float64 `json:"footCm" doc:"over the bottom"`
	DiameterCm float64 `json:"diameterCm"`
	HeightCm   float64 `json:"heightCm"`
}

type shareBody struct {
	Name   string `json:"name"`
	Amount string `json:"amount"`
	Note   string `json:"note" doc:"how it cooks, by the cook's notes"`
}

type sharesBody struct {
	Parts []shareBody `json:"parts" nullable:"false"`
	Taste string      `json:"taste" doc:"of all together; empty where not all are known"`
}

// waterLevels is the water of a load, before and after the jars go in.
type waterLevels struct {
	Pour    string  `json:"pour"`
	Before  string  `json:"before" doc:"how high it stands before the jars go in"`
	After   string  `json:"after"`
	AfterCm float64 `json:"afterCm"`
	FillAt  string  `json:"fillAt" doc:"how warm it should be when the jars go in"`
	Heating string  `json:"heating" doc:"when to light it and how long to the boil; empty where the burner is not known"`
}

type cannerBody struct {
	ID         string          `json:"id" doc:"of the kitchen's own; empty for the usual one"`
	Name       string          `json:"name"`
	DiameterCm float64         `json:"diameterCm" doc:"0 for a rectangular one"`
	LengthCm   float64         `json:"lengthCm"`
	WidthCm    float64         `json:"widthCm"`
	DepthCm    float64         `json:"depthCm"`
	RackCm     float64         `json:"rackCm"`
	Size       string          `json:"size" doc:"31.5 cm, or 50 by 30 cm"`
	Water      *waterLevels    `json:"water" doc:"of the first load; null in steam and where there is no load"`
	Capacity   int             `json:"capacity"`
	Text       string          `json:"text" doc:"2 loads of 5 quarts"`
	Offers     []loadOfferBody `json:"offers" nullable:"false" doc:"other ways to load: another pot, two tiers, what is over in the next batch"`
	Side       []sideJar       `json:"side" nullable:"false" doc:"the first load as it is seen from the side"`
	After      string          `json:"after" doc:"what to do when the time is up"`
	Note       string          `json:"note" doc:"why it does not take these jars"`
	Loads      []loadBody      `json:"loads" nullable:"false"`
}

type costLine struct {
	What  string `json:"what"`
	Money string `json:"money"`
}

type costsBody struct {
	PerJar   string     `json:"perJar"`
	PerLitre string     `json:"perLitre" doc:"a litre, or a quart for a cook who reads quarts"`
	Lines    []costLine `json:"lines" nullable:"false"`
	Missing  string     `json:"missing" doc:"what has no price yet; empty where all has"`
	Against  string     `json:"against" doc:"beside a bought jar; empty where its price was not said"`
}
