package server

// CookFields is a pair of hands on a day. Times are as on a clock: 8:00, 14:30.
type CookFields struct {
	Name   string        `json:"name" maxLength:"60"`
	From   string        `json:"from" maxLength:"40"`
	To     string        `json:"to" maxLength:"40"`
	Breaks []BreakFields `json:"breaks" maxItems:"8" nullable:"false"`
}

// BreakFields is when a cook is not to be counted on.
type BreakFields struct {
	From string `json:"from" maxLength:"40"`
	To   string `json:"to" maxLength:"40"`
}

// DayFields is who and what is there on a day.
type DayFields struct {
	Begin   string       `json:"begin" maxLength:"40" doc:"nothing begins before"`
	By      string       `json:"by,omitempty" required:"false" maxLength:"40" doc:"all is to be done; empty for no such hour"`
	Late    string       `json:"late,omitempty" required:"false" maxLength:"40" doc:"work by hand after it is avoided; empty for no such hour"`
	Burners int          `json:"burners" minimum:"1" maximum:"12"`
	Pots    int          `json:"pots" minimum:"0" maximum:"12" doc:"big pots to cook in"`
	Cooks   []CookFields `json:"cooks" minItems:"1" maxItems:"6" nullable:"false"`
}

type dayBatchBody struct {
	Batch    string `json:"batch"`
	Part     string `json:"part" enum:",juice,jars"`
	Headline string `json:"headline"`
	Product  string `json:"product"`
	Kind     string `json:"kind"`
	Jars     string `json:"jars"`
	Loads    int    `json:"loads"`
	Which    string `json:"which" doc:"loads 1 to 2 of 3; empty where all are run on this day"`
	From     string `json:"from" doc:"not before; empty: any time"`
	By       string `json:"by"`
	Not      string `json:"not" doc:"why it is not on the lanes; empty where it is"`
	Done     string `json:"done" doc:"when it is done: 15:40"`
	Late     string `json:"late" doc:"by how much it misses its hour; empty where it does not"`
	Begun    bool   `json:"begun"`
	Over     bool   `json:"over"`
	Waits    string `json:"waits" doc:"of jars, until when their juice settles; empty otherwise"`
}

// dayPieceBody is a part of a step in time.
type dayPieceBody struct {
	From int    `json:"from" doc:"minutes from midnight"`
	To   int    `json:"to"`
	What string `json:"what"`
	Time string `json:"time" doc:"when it begins: 8:20"`
}

type dayStepBody struct {
	Key     string         `json:"key"`
	Kind    string         `json:"kind" enum:"lit,jars,liquid,juicer,press,slow,dip,fruit,cook,load"`
	Title   string         `json:"title"`
	Of      string         `json:"of" doc:"its batch, in words; empty for a canner that is lit"`
	With    string         `json:"with" doc:"how much, and with what"`
	Who     string         `json:"who"`
	Where   string         `json:"where" doc:"burner, canner, pot"`
	From    int            `json:"from"`
	To      int            `json:"to"`
	Time    string         `json:"time" doc:"8:20 to 8:45"`
	At      string         `json:"at" doc:"when it begins, as it can be held there: 8:20"`
	State   string         `json:"state" enum:"ahead,late,now,done"`
	Moved   string         `json:"moved" doc:"how far it moved from where it was planned; empty where it did not"`
	Locked  bool           `json:"locked"`
	Can     []string       `json:"can" enum:"begun,done,back,lock,unlock,hob" nullable:"false"`
	Load    string         `json:"load" doc:"on the stove; empty: not there"`
	Number  int            `json:"number" doc:"which load of its batch, from 0"`
	Batch   string         `json:"batch"`
	Canner  string         `json:"canner" doc:"its id"`
	Product string         `json:"product"`
	Kept    bool           `json:"hot" doc:"what comes of it waits hot"`
	Pieces  []dayPieceBody `json:"pieces" nullable:"false" doc:"of a load: filling, jars in, to the boil, the time, the rest, jars out"`
}

type dayBarBody struct {
	Key   string `json:"key"`
	From  int    `json:"from"`
	To    int    `json:"to"`
	Text  string `json:"text"`
	Kind  string `json:"kind"`
	Batch int    `json:"batch" doc:"its number; -1: none"`
	State string `json:"state" enum:"ahead,late,now,done"`
}

type dayLaneBody struct {
	Kind string         `json:"kind" enum:"hands,burner,canner"`
	Name string         `json:"name"`
	Away []dayPieceBody `json:"away" nullable:"false" doc:"when it is not there"`
	Bars []dayBarBody   `json:"bars" nullable:"false"`
}

type dropBody struct {
	Left []leftBody `json:"left" nullable:"false"`
	Text string     `json:"text"`
}

// leftBody is what a way out leaves for another day.
type leftBody struct {
	Batch string `json:"batch"`
	Part  string `json:"part" enum:",juice,jars"`
	From  int    `json:"from" doc:"the first load that is left out, from 1; 0: all of it"`
}

// dayMainBody is the one thing to do next.
type dayMainBody struct {
	Step   string `json:"step"`
	Kind   string `json:"kind" enum:"begun,done,hob"`
	Text   string `json:"text"`
	Next   string `json:"next" doc:"a step that begins with it; empty: none"`
	Batch  string `json:"batch"`
	Number int    `json:"number" doc:"which load of its batch, from 0"`
	Canner string `json:"canner"`
}

type dayBody struct {
	Date     string         `json:"date" doc:"2026-08-15"`
	Title    string         `json:"title"`
	State    string         `json:"state" enum:"empty,ahead,running,over"`
	Fields   DayFields      `json:"fields"`
	Batches  []dayBatchBody `json:"batches" nullable:"false"`
	Lanes    []dayLaneBody  `json:"lanes" nullable:"false"`
	Steps    []dayStepBody  `json:"steps" nullable:"false" doc:"in the order of time"`
	Now      int            `json:"now" doc:"minutes from midnight; -1 where it is not this day"`
	From     int            `json:"from" doc:"where the lanes begin"`
	To       int            `json:"to"`
	ByMinute int            `json:"byMinute" doc:"0: none"`
	Finish   string         `json:"finish" doc:"when all is done; empty for an empty day"`
	Fits     bool           `json:"fits"`
	Not      string         `json:"not" doc:"why it does not fit"`
	Drops    []dropBody     `json:"drops" nullable:"false" doc:"what to leave out"`
	Cold     string         `json:"cold" doc:"what to do with the fruit of what is left out; empty where nothing is"`
	Bound    string         `json:"bound" doc:"how far from the best this plan can be at most"`
	Holds    []string       `json:"holds" nullable:"false" doc:"what holds it up, and what one more would save"`
	Shift    string         `json:"shift" doc:"what is later or earlier than it was planned; empty where nothing is"`
	Better   string         `json:"better" doc:"that another order would be done sooner; empty where none is"`
	Unheld   []string       `json:"unheld" nullable:"false" doc:"what was locked and could not be held"`
	Main     *dayMainBody   `json:"main" doc:"null where there is nothing to tell"`
	Next     string         `json:"next" doc:"the day after, 2026-08-16"`
	Before   string         `json:"before"`
	Planned  []dayOnBody    `json:"planned" nullable:"false" doc:"days that something is planned on, from a week ago on"`
}

type dayOnBody struct {
	Date  string `json:"date"`
	Title string `json:"title"`
}

type dayOutput struct{ Body dayBody }
