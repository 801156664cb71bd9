# frozen_string_literal: true

# What each of these is for, and why it was chosen: docs/decisions/0002-dependencies.md
source "https://rubygems.org"

gem "argon2", "~> 2.3"
gem "bootsnap", "~> 1.26", require: false
gem "browser", "~> 5.3", require: false # 6 refuses Ruby 3.1
gem "csv", "~> 3.3", require: false
gem "i18n", "~> 1.14"
gem "icalendar", "~> 2.11", require: false
gem "json", "~> 2.18"
gem "json_schemer", "~> 2.5"
gem "mail", "~> 2.9", require: false
gem "oj", "~> 3.16", require: false
gem "openapi_first", "~> 1.4.3"
gem "pg", "~> 1.7"
gem "prawn", "~> 2.5", require: false
gem "prometheus-client", "~> 4.2", require: false
gem "puma", "~> 8.0"
gem "rack", "~> 3.2"
gem "rack-attack", "~> 6.8"
gem "rack-session", "~> 2.1"
gem "rackup", "~> 2.3"
gem "roda", "~> 3.109"
gem "rodauth", "~> 2.49"
gem "rqrcode_core", "~> 2.0.0", require: false # 2.1 refuses Ruby 3.1
gem "ruby-vips", "~> 2.3"
gem "sequel", "~> 5.110"
gem "sequel_pg", "~> 1.20", require: false
gem "sinatra", "~> 4.2", require: false
gem "zeitwerk", "~> 2.6.18"

group :test do
  gem "afm", "~> 0.2.2", require: false # of pdf-reader; 1.0 refuses Ruby 3.1
  gem "capybara", "~> 3.40"
  gem "cuprite", "~> 0.17"
  gem "ferrum", "~> 0.17"
  gem "nokogiri", "~> 1.18.10"
  gem "parallel_tests", "~> 4.7", require: false
  gem "pdf-reader", "~> 2.16", require: false
  gem "rack-test", "~> 2.2"
  gem "rspec", "~> 3.13"
  gem "simplecov", "~> 0.22", require: false
end

group :lint do
  gem "brakeman", "~> 7.1", require: false
  gem "rubocop", "~> 1.92", require: false
  gem "rubocop-performance", "~> 1.27", require: false
  gem "rubocop-rspec", "~> 3.10", require: false
  gem "rubocop-sequel", "~> 0.4", require: false
  gem "syntax_tree", "~> 6.3", require: false
end
