# frozen_string_literal: true

require "database_helper"
require_relative "../../benchmarks/large_gym/generator"
require_relative "../../demo/loader"

# What the pages of a gym ask, in a gym that is large enough for plans to differ: nothing walks a large table whole, and
# the number of statements does not grow with the people.
RSpec.describe "Questions in a large gym" do
  around { |example| db.transaction(rollback: :always) { example.run } }

  let(:large) do
    demo = Verglas::Demo::Loader.new(db).load
    Verglas::Store::Gym.new(
      db,
      LargeGym::Generator.new(db, like: demo).generate(clients: 40_000, fittings: 30_000)[:gym]
    )
  end
  let(:machine) { large.machines.all.find { |row| row[:name] == "Leg extension 1" } }
  let(:person) { large.fittings.dataset.where(state: "accepted").get(:client_id) }

  # The statements that a question makes.
  def statements
    made = []
    logger = Class.new { define_method(:info) { |line| made << line } }.new
    %i[debug warn error].each { |level| logger.define_singleton_method(level) { |*| nil } }
    db.loggers << logger
    yield
    made.map { |line| line.sub(/\A\([\d.]+s\) /, "").sub(/; \[.*\z/, "") }.grep(/\A(SELECT|WITH|EXECUTE)/)
  ensure
    db.loggers.delete(logger)
  end

  def walked_whole(sql)
    db
      .fetch("EXPLAIN #{sql}")
      .map { |row| row.values.first }
      .grep(/Seq Scan on (clients|readings|fittings|visits|sets)\b/)
  end

  questions = {
    "who is on a machine, and who waits" => ->(gym, *) do
      Verglas::Store::Queries::OnTheFloor.new(gym).then { |floor| [floor.visits, floor.queues] }
    end,
    "who was fitted lately" => ->(gym, *) { Verglas::Store::Queries::RecentClients.new(gym).call },
    "what was left open" => ->(gym, *) { Verglas::Store::Queries::OpenFittings.new(gym).call },
    "what was discarded" => ->(gym, *) { Verglas::Store::Queries::DiscardedFittings.new(gym).call },
    "what may have to be fitted again" => ->(gym, *) { Verglas::Store::Queries::RefitFacts.new(gym).call(Date.today) },
    "who was here, and what they were fitted on" => ->(gym, *) do
      Verglas::Store::Queries::BoardCards.new(gym).call(since: Time.now - (84 * 86_400))
    end,
    "who did what" => ->(gym, _, person) do
      Verglas::Store::Queries::AuditTrail.new(gym).then { |trail| [trail.call, trail.call(before: 5, of: person)] }
    end,
    "a card" => ->(gym, _, person) do
      Verglas::Store::Queries::ClientCard.new(gym).then { |card| [card.call(person), card.history(person)] }
    end,
    "who is past their time" => ->(gym, *) do
      Verglas::Store::Queries::PastTheirTime.new(gym).call(Time.now - (900 * 86_400))
    end,
    "fittings side by side" =>
      lambda do |gym, _, person|
        Verglas::Store::Queries::FittingsSideBySide.new(gym).call(
          person,
          *gym.visits.dataset.where(client_id: person).get(%i[machine_id exercise])
        )
      end,
    "what was lifted on a machine" =>
      lambda do |gym, _, person|
        Verglas::Store::Queries::Logbook.new(gym).call(
          person,
          *gym.visits.dataset.where(client_id: person).get(%i[machine_id exercise])
        )
      end,
    "what was lifted last everywhere" => ->(gym, _, person) do
      Verglas::Store::Queries::LatestLoads.new(gym).call(person)
    end,
    "what several people lifted last everywhere, and which of their fittings are the latest" =>
      lambda do |gym, _, person|
        ids = [person] + Array.new(11) { SecureRandom.uuid }
        Verglas::Store::Queries::LatestLoads.new(gym).among(ids)
        Verglas::Store::Queries::LatestFittings.new(gym).versions(ids)
      end,
    "what was shown, and at the visits since" => ->(gym, _, person) do
      Verglas::Store::Queries::ShownEfforts.new(gym).call(
        person,
        families: Verglas::Machines::Families.single.map(&:id)
      )
    end,
    "how often marks are used" => ->(gym, machine, _) { Verglas::Store::Queries::MarkUse.new(gym).call(machine) },
    "which fittings on a machine were checked by eye" => ->(gym, machine, _) do
      Verglas::Store::Queries::CheckedFittings.new(gym).on(machine, most: 100)
      Verglas::Store::Queries::MachineFittings.new(gym).marks(machine, "", most: 100)
    end,
    "who was fitted on a machine" => ->(gym, machine, _) do
      Verglas::Store::Queries::MachineFittings
        .new(gym)
        .then { |one| [one.call(machine), one.clients(machine, limit: 50)] }
    end,
    "what somebody lifted on all machines, and who was on one" => ->(gym, machine, person) do
      lifted = Verglas::Store::Queries::LiftedSets.new(gym)
      [lifted.call([person]), lifted.on(machine, "", most: 100)]
    end,
    "all that somebody did, and what a session begins from" => ->(gym, _, person) do
      [
        Verglas::Store::Queries::Logbook.new(gym).of_client(person),
        Verglas::Store::Queries::LastOfAction.new(gym).of_client(person),
        Verglas::Store::Queries::LatestFittings.new(gym).call(person)
      ]
    end,
    "how long things took" => ->(gym, *) do
      [Verglas::Store::Queries::Changeovers, Verglas::Store::Queries::TimesTaken].map do |query|
        query.new(gym).call(longest_s: 900)
      end
    end,
    "whose card a rule may change" => ->(gym, *) { Verglas::Store::Queries::CardsOfGym.new(gym).call(limit: 100) }
  }
  # One example, because the gym takes seconds to make.
  it "walks no large table (#{questions.keys.join("; ")}), and asks for ten people in as many statements as for two",
     :aggregate_failures do
    questions.each do |what, question|
      given = [large, machine[:id], person]
      asked = statements { question.call(*given) }
      expect(asked).not_to be_empty, what
      asked.each { |sql| expect(walked_whole(sql)).to be_empty, "#{what}: #{walked_whole(sql).join} in #{sql[0, 200]}" }
    end
    ids = large.clients.dataset.order(:id).limit(10).select_map(:id)
    # Asked once an hour, of the whole gym.
    Verglas::Application::Sessions::SetUpTimes.of(large)
    counts =
      [2, 10].map do |size|
        version = large.queues.of(machine[:id], "")[:version]
        large.queues.put(
          machine[:id],
          "",
          clients: ids.take(size),
          version: version,
          by: large.db[:accounts].where(gym_id: large.id).get(:id)
        )
        statements do
          queue = Verglas::Application::Questions::Queue.of(large, machine, "")
          expect(Verglas::Web::Views::Queue.of(queue)[:entries].size).to eq(size)
        end.size
      end
    expect(counts.uniq.size).to eq(1)
    question = Verglas::Guidance::HouseRules.fetch(:extension_roller)
    expect(statements { Verglas::Application::RuleChanges.new(large, question, :hand_above).call }.size).to be < 15
  end
end
