# frozen_string_literal: true

require "json"

# Worked examples from an independent implementation, and the invented machines and exact bodies they speak of.
module Worked
  FOLDER = File.expand_path("../fixtures", __dir__)
  DATA = JSON.parse(File.read(File.join(FOLDER, "worked_examples.json")))
  BODIES = DATA.fetch("bodies")
  # Of every family, {id => machines}: fixtures/machines/<family>.json.
  BY_FAMILY =
    Dir[File.join(FOLDER, "machines", "*.json")].to_h do |file|
      [File.basename(file, ".json").to_sym, JSON.parse(File.read(file))]
    end
  MACHINES = BY_FAMILY.values.flatten.to_h { |machine| [machine["id"], machine] }

  def self.examples(operation) = DATA.fetch("examples").select { |example| example["op"] == operation }
  def self.machine(id) = Verglas::Machines::Reader.read(MACHINES.fetch(id))
  def self.body(id) = Verglas::Body::Dimensions.from(BODIES.fetch(id).transform_keys(&:to_sym))
  def self.exact(id) = Verglas::Body::Estimate.exact(body(id))
  def self.subjects = Verglas::Formats::Subjects.new(machines: MACHINES, bodies: BODIES)

  # knee_from_deg, knee_to_deg: the knee's own range.
  def self.wishes(machine, knee_from_deg: nil, knee_to_deg: nil, **given)
    Verglas::Mechanisms::Wishes.for(
      machine.family,
      envelope: Verglas::Body::Envelope.new({ knee_flexion: [knee_from_deg, knee_to_deg] }),
      **given
    )
  end
end
