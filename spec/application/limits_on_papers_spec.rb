# frozen_string_literal: true

require "web_helper"
require "pdf/reader"
require_relative "../support/held_limits"

# What is carried away is held to the same limits: the cards of somebody who was fitted on every other machine before
# the limit was known, and the sheets at the wall.
RSpec.describe "A client's limits on paper" do
  include HeldLimits

  held = HeldLimits
  views = Verglas::Web::Views
  questions = Verglas::Application::Questions
  let(:loft) { gym }
  let!(:account) { staff(loft) }
  let!(:rows) { Worked::MACHINES.keys.map { |name| machine(loft, name, name: name) } }
  let(:person) do
    client(loft, account, name: "Ione Fairweather", sex: "woman", body_mass_kg: 70, stature: 1690, seat_to_kneecap: 590)
  end

  def exercises
    rows.flat_map do |row|
      Verglas::Machines::Families.fetch(row[:family]).plain_exercises.keys.map { |exercise| [row, exercise.to_s] }
    end
  end
  def met(row, exercise)
    Verglas::Application::Meeting.new(
      loft,
      client: loft.clients.find(person[:id]),
      machine_row: row,
      exercise: exercise
    )
  end

  # Accepted as advised on every other machine, wherever it fits.
  def write_down
    exercises
      .each_slice(2)
      .map(&:first)
      .each do |row, exercise|
        meeting = met(row, exercise)
        next if held_off?(meeting, meeting.advice.marks)

        draft, =
          loft.fittings.open(
            client_id: person[:id],
            machine_id: row[:id],
            exercise: exercise,
            description_number: 1,
            marks: meeting.advice.marks,
            by: account
          )
        kept =
          Verglas::Application::Record.of(Verglas::Application::Meeting.of(loft, draft[:id]), meeting.advice.marks, {})
        loft.fittings.accept(draft[:id], version: 1, by: account, **kept)
      end
  end

  def held_off?(meeting, marks)
    meeting.bars.any? || marks.nil? || meeting.refusals(meeting.evaluation(marks, {})).any?
  end

  def limit(cautions: [], measured: nil)
    cautions.each do |row|
      db.transaction do
        loft.cautions.put(
          person[:id],
          row[:caution],
          version: nil,
          by: account,
          note: "",
          **row.slice(:side, :cleared_on, :cleared_by, :degrees)
        )
      end
    end
    row = loft.clients.find(person[:id])
    loft.clients.measure(row[:id], version: row[:version], limits: { **row[:limits], **measured }) if measured
  end

  def printed(paper) = PDF::Reader.new(StringIO.new(paper.render)).pages.map(&:text).join("\n").gsub(/\s+/, " ")

  # Every card there is, as its reader has it.
  define_method(:papers) do |card|
    [
      views::Card.text(card),
      printed(Verglas::Formats::Paper::Cards.new(card)),
      printed(Verglas::Formats::Paper::FloorSheet.new(card))
    ]
  end

  # Machines that are printed with marks and at these let a joint past its limit, or refuse what is printed.
  define_method(:past_at_marks) do |lines, (motion, from, upto), source|
    exercises.flat_map do |row, exercise|
      name = Verglas::Application::Told::Names.machine(row[:name], exercise)
      line = lines.find { |one| one[:name] == name && one[:marks].any? } or next []
      meeting = met(row, exercise)
      marks =
        meeting.machine.adjusters.to_h do |adjuster|
          [adjuster.label, mark_of(line, adjuster.label) || meeting.advice.marks.fetch(adjuster.label)]
        end
      next [[name, :refused]] if held_off?(meeting, marks)
      next [] unless meeting.machine.family.joints.key?(motion)

      held
        .outside(meeting, motion, from, upto, held.past(source), at: meeting.evaluation(marks, {}))
        .map { |what| [name, *what] }
    end
  end

  # What a line tells of an adjuster; nothing of a pad that is lowered until it is firm.
  def mark_of(line, label)
    line[:marks].find { |tag| tag[:name] == Verglas::Formats::Words.adjuster(label) }&.fetch(:mark)
  end

  # A line of a wall sheet as a card has its lines.
  def on_card(row, exercise, line)
    labels =
      [*row[:adjusters].to_a, *row[:exercises].to_h.fetch(exercise, {}).fetch("adjusters", [])].map do |one|
        Verglas::Formats::Words.adjuster(one["label"])
      end
    {
      name: Verglas::Application::Told::Names.machine(row[:name], exercise),
      marks: labels.zip(line[:cells]).map { |name, mark| { name: name, mark: mark } }
    }
  end

  define_method(:at_the_wall) do
    exercises.flat_map do |row, exercise|
      views::WallSheet.of(questions::WallSheet.of(loft, row, exercise, most: 50))[:rows].map do |line|
        on_card(row, exercise, line)
      end
    end
  end

  [
    [:knee_flexion, nil, 75],
    [:knee_flexion, 20, 70],
    [:hip_flexion, nil, 60],
    [:hip_hinge, nil, 45],
    [:hip_abduction, nil, 20],
    [:hip_extension, nil, -10],
    [:ankle_dorsiflexion, nil, 10],
    [:heel_drop, nil, 3]
  ].each do |ends|
    held
      .sources(*ends)
      .first(%i[knee_flexion hip_flexion].include?(ends.first) ? 2 : 1)
      .each do |source, given|
        it "hold on cards and at the wall: #{source}, #{ends.first} #{ends[1]} to #{ends[2]}" do
          write_down
          limit(**given)
          card = views::Card.of(questions::Card.of(loft, loft.clients.find(person[:id])))
          lines = [*card[:fitted], *card[:predicted]]
          expect([card[:fitted], card[:predicted]].map { |some| some.count { |line| line[:marks].any? } }).to all(
            be > 1
          )
          told = papers(card).flat_map { |text| held.told_outside([text], *ends) }
          expect([*told, *past_at_marks(lines, ends, source), *past_at_marks(at_the_wall, ends, source)]).to be_empty
        end
      end
  end
end
