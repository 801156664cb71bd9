# frozen_string_literal: true

# Finding and listing among 100,000 clients, compared with the same among the demo gym's dozen.
#   RUBYOPT=--yjit bundle exec ruby benchmarks/clients.rb
require_relative "support"

Measure.with_demo do
  db = Verglas::DB
  first = %w[
    Imre
    Ósk
    Perpetua
    Wendell
    Sunniva
    Matteus
    Ione
    Dagny
    Caspian
    Zéphyrine
    Auden
    Solveig
    Torvald
    Maudie
    Ansgar
    Beathe
  ]
  syllables = %w[tal bot var hol mes ork bran achter quill fair wea ther pel brook ark wright low ekd ahl rey]
  random = Random.new(1)
  gyms = {
    "a dozen clients" => db[:gyms].get(:id),
    "100,000 clients" => db[:gyms].returning(:id).insert(name: "The Sail Shed").first[:id]
  }
  rows =
    Array.new(100_000) do |number|
      [
        gyms["100,000 clients"],
        "#{first.sample(random: random)} #{Array.new(3) { syllables.sample(random: random) }.join.capitalize}",
        number.to_s
      ]
    end
  db[:clients].import(%i[gym_id name detail_digest], rows, slice: 5000)
  db.run("ANALYZE clients")
  texts = {
    "two letters that many names begin with" => "ta",
    "two letters that some names begin with" => "zé",
    "nobody's letters" => "qx",
    "a whole name" => "imre talbotvar",
    "everybody, first page" => ""
  }
  texts.each do |what, text|
    small, large =
      gyms.values.map do |id|
        search = Verglas::Store::Queries::SearchClients.new(Verglas::Store::Gym.new(db, id))
        5.times { search.call(text) }
        Measure.median(60) { search.call(text) }
      end
    Measure.report("#{what}: a dozen", small)
    Measure.report("#{what}: 100,000", large, compared_with: small)
  end
end
