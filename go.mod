module mellisca

go 1.26
