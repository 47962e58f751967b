package jar

import "strconv"

// Count names n jars: "1 quart", "7 quarts", "1 4-ounce jar".
func (j Jar) Count(n int) string {
	if n == 1 {
		return "1 " + j.One
	}
	return strconv.Itoa(n) + " " + j.Many
}
