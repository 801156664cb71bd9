# frozen_string_literal: true

module Verglas
  module Formats
    # What each op of the command-line door does: request (checked plain data) and subjects to plain data.
    module Operations
      SOLE_MM = Tables[:press][:sole][:mm]

      module_function

      def body(request, subjects)
        estimation = subjects.estimation(request, checked: subjects.checked(request))
        {
          mean: estimation.estimate.mean,
          sd: estimation.estimate.sd,
          reports: estimation.reports.map { |report| report(report) },
          met_torso: estimation.met.mean[:torso],
          **learned(request, estimation.learned.flatten)
        }
      end

      # The observations that a checked fitting made: the seat's first, then the roller's.
      def learned(request, observations)
        names = [*("back" if request["back_face"]), *("roller" if request["roller_reach"])]
        names.zip(observations).flat_map { |name, one| [[:"z_#{name}", one.value_mm], [:"r_#{name}", one.sd_mm]] }.to_h
      end

      # The pad under the hips on a flat bench, mm; with sizes, the nearest of those too.
      def hip_pad(request, subjects)
        return request["bodies"].to_h { |id| [id, Linkages::HipPad.wanted_mm(subjects.body(id))] } if request["bodies"]

        body = subjects.estimate(request).dimensions
        {
          pad: Linkages::HipPad.wanted_mm(body),
          nearest: request["sizes"] && Linkages::HipPad.nearest(body, request["sizes"])
        }.compact
      end

      # What a hinge asks of the hip at some angles of the trunk; with a band or a glute-ham plate what a straight body
      # asks of the knee.
      def effort(request, subjects)
        body = subjects.estimate(request).dimensions
        return knee_effort(request, body) if request.keys.intersect?(%w[band plate_to_pad])

        {
          torque:
            request["psi"].map do |deg|
              Linkages::HingeEffort.hip_nm(
                body,
                mass_kg: request["mass"],
                held_kg: request.fetch("held", 0),
                trunk_deg: deg
              )
            end
        }
      end

      def knee_effort(request, body)
        at = ->(deg, **band) { Linkages::HingeEffort.knee_nm(body, mass_kg: request["mass"], body_deg: deg, **band) }
        told = { torque: request["psi"].map { |deg| at[deg] } }
        band = request["band"]
        told[:with_band] = request["psi"].map do |deg|
          at[deg, band_n: band["tension"], band_lever_mm: band["lever"]]
        end if band
        over =
          request["plate_to_pad"] &&
            Linkages::HingeEffort.knee_over_pad_mm(
              body,
              plate_to_pad_mm: request["plate_to_pad"],
              sole_mm: request.fetch("sole", SOLE_MM)
            )
        over ? { **told, knee_over_pad: over, knee: Linkages::HingeEffort.knee_place(over) } : told
      end

      def report(report)
        {
          name: report.reading.observation,
          z: report.reading.value_mm,
          expected: report.expected_mm,
          innovation: report.innovation_mm,
          sigma: report.sigma_mm,
          refused: report.refused,
          marked: report.marked
        }
      end

      def parameters(request, subjects)
        machine = subjects.machine(request)
        pitch =
          machine.adjusters.to_h do |adjuster|
            [adjuster.label, adjuster.marks.each_index.map { |index| adjuster.pitch(index) }]
          end
        roller = machine.adjusters.find { |adjuster| adjuster.drives?(:roller_reach) }
        {
          constants: machine.parameters(machine.indices(request["marks"])),
          pitch: pitch,
          roller_pitch: roller && pitch[roller.label]
        }.compact
      end

      def contact(request, _subjects)
        knee = Geometry::Point.new(*request["e"])
        rows =
          request["theta"].map do |arm_deg|
            contact =
              Linkages::RollerContact.at(
                knee: knee,
                reach_mm: request["R"],
                clearance_mm: request["D"],
                side: request["side"],
                arm_deg: arm_deg
              )
            { phi: contact.shin_deg, q: contact.contact_mm, ratio: contact.torque_ratio, lever: contact.lever_arm_mm }
          end
        { rows: rows.map { |row| row.transform_values { |value| value.finite? ? value : nil } } }
      end

      def evaluate(request, subjects)
        machine = subjects.machine(request)
        evaluation =
          Fitting::Evaluation.new(
            machine: machine,
            estimate: subjects.estimate(request),
            wishes: subjects.wishes(request, machine),
            indices: machine.indices(request["marks"])
          )
        {
          marks: evaluation.marks,
          **Answers.evaluation(evaluation, subjects.posing(request)),
          joint: Answers.joint(evaluation)
        }
      end

      def advise(request, subjects)
        machines = subjects.station(request)
        return advise_station(request, subjects, machines) if machines

        machine = subjects.machine(request)
        advice =
          Fitting::Advice.new(
            machine: machine,
            estimate: subjects.estimate(request),
            wishes: subjects.wishes(request, machine),
            taken: subjects.taken(request),
            choices: subjects.choices(request),
            held: subjects.held(request, machine)
          )
        Answers.advice(advice, subjects.posing(request))
      end

      def advise_station(request, subjects, machines)
        advice =
          Fitting::StationAdvice.new(
            machines: machines,
            shared: subjects.shared(request),
            estimate: subjects.estimate(request),
            wishes: machines.transform_values { |machine| subjects.wishes(request, machine) },
            taken: subjects.taken(request),
            choices: subjects.choices(request)
          )
        Answers.station(advice)
      end

      def probability(request, _subjects)
        probability =
          Fitting::MarkProbability.of(positions: request["positions"], mean: request["mu"], sd: request["sigma"])
        { p: probability.marks, below: probability.below, above: probability.above }
      end

      def session(request, _subjects) = Plans.session(request)
      def pair(request, _subjects) = Plans.pair(request)
      def circuit(request, _subjects) = Plans.circuit(request)
      def strength(request, _subjects) = Learning.strength(request)
      def factor(request, _subjects) = Learning.factor(request)
      def bias(request, _subjects) = Learning.bias(request)
      def scale(request, _subjects) = Learning.scale(request)
      def signs(request, subjects) = SignsRead.signs(request, subjects)

      # A set that a phone on the machine's arm read.
      def movement(request, _subjects)
        reading =
          Motion::Reading.new(
            Motion::Samples.read(request["samples"]),
            start_deg: request["start"],
            end_deg: request["end"]
          )
        {
          repetitions: reading.repetitions.map { |one| one.to_h.except(:first_s) },
          slam: reading.slam?,
          slipped: reading.slipped?
        }
      end
    end
  end
end
