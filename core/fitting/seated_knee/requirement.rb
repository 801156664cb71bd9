# frozen_string_literal: true

module Verglas
  module Fitting
    class SeatedKnee
      # Which place a body asks of one adjuster, the others standing where they are: what decides it, the places which
      # its marks offer, the place required (mean and SD) and the slopes of that place by body parameter.
      # Seat frame; mm, or degrees where a start angle is asked. docs/model.md sections 3 and 8.
      class Requirement
        # unit and how many taped constants stand in the sum
        RULES = { pivot: [:mm, 1], crease: [:mm, 2], height: [:mm, 1], contact: [:mm, 2], start: [:deg, 1],
                  thigh_press: [:mm, 1], kneecap: [:mm, 2] }.freeze

        DECIDED_BY = { pivot_above_seat: :height, roller_reach: :contact, roller_radius: :contact, start_angle: :start,
                       thigh_pad_height: :thigh_press, thigh_pad_front: :kneecap }.freeze

        attr_reader :decided_by, :unit, :positions, :mean, :sd, :gradient

        # nil for an adjuster whose place no rule decides (the end of the arc alone).
        def self.of(machine:, estimate:, wishes:, indices:, adjuster:)
          decided_by = rule(machine, adjuster)
          new(machine, estimate, wishes, indices, adjuster, decided_by) if decided_by
        end

        # What decides an adjuster, by what it drives; nil where no rule does.
        def self.rule(machine, adjuster)
          seat_rule(machine, adjuster) || DECIDED_BY.find { |name, _| adjuster.drives?(name) }&.last
        end

        # A back pad that slides on a sliding seat sets the seat's length; alone, or as a whole seat, the pivot.
        def self.seat_rule(machine, adjuster)
          back, edge = %i[back_face seat_edge].map { |name| adjuster.drives.fetch(name, 0) }
          return if back.zero? && edge.zero?

          back.zero? || (back != edge && whole_seat?(machine)) ? :crease : :pivot
        end

        def self.whole_seat?(machine)
          machine.adjusters.any? { |other| other.drives?(:back_face) && other.drives[:back_face] == other.drives[:seat_edge] }
        end
        private_class_method :seat_rule, :whole_seat?

        def initialize(machine, estimate, wishes, indices, adjuster, decided_by)
          @machine = machine
          @wishes = wishes
          @decided_by = decided_by
          @unit, constants = RULES.fetch(decided_by)
          @parameters = machine.parameters(indices)
          @knee = mechanics(estimate.dimensions).joint(@parameters).knee
          @positions = positions_of(adjuster, indices)
          @mean = required(estimate.dimensions)
          @gradient = estimate.gradients(along: BODY_PARAMETERS) { |body| [required(body)] }.first
          taped_sd = Machines::Constant.new(unit: @unit, range: nil).taped_sd
          @sd = Math.sqrt(estimate.normal.variance(@gradient) + (constants * (taped_sd**2)))
          freeze
        end

        private

        def mechanics(body) = SeatedKnee.new(machine: @machine, body: body, wishes: @wishes)

        def positions_of(adjuster, indices)
          at = @machine.adjusters.index(adjuster)
          adjuster.marks.each_index.map { |mark| position(@machine.parameters(indices.dup.tap { |copy| copy[at] = mark })) }
        end

        def position(parameters)
          case decided_by
          when :pivot then parameters[:back_face]
          when :crease then parameters[:back_face] - parameters[:seat_edge]
          when :height then parameters[:pivot_above_seat]
          when :contact then parameters[:roller_reach]
          when :start then parameters[:start_angle]
          when :thigh_press then parameters[:thigh_pad_height]
          when :kneecap then parameters[:thigh_pad_front]
          end
        end

        def required(body)
          case decided_by
          when :pivot then -seated_length(body)
          when :crease then BANDS[:crease_gap].target + body.knee_back - seated_length(body)
          when :height then body.knee_under + @wishes.cushion_seat_mm
          when :contact then reach(body)
          when :start then start_angle(body)
          when :thigh_press then body.thigh_depth + @wishes.cushion_seat_mm - BANDS[:thigh_press].target
          when :kneecap then mechanics(body).joint(@parameters).knee.s - KNEECAP_EDGE_MM - BANDS[:kneecap_gap].target
          end
        end

        # From the back pad's face to the knee, along the seat.
        def seated_length(body) = body.hip_depth + mechanics(body).level_thigh_mm + @wishes.cushion_back_mm

        # The reach with which the roller touches at the wanted place in the middle of the arc, the knee where it now is.
        def reach(body)
          contact = body.shank - @wishes.contact_above_ankle_mm
          clearance = @parameters[:roller_radius] + body.calf_half
          along_arm = @knee.dot(Geometry::Point.towards(mechanics(body).middle_deg(@parameters)))
          along_arm + Math.sqrt([(along_arm**2) - (@knee.norm**2) + (contact**2) + (clearance**2), 0.0].max)
        end

        # The arm's angle at which the knee has the wanted bend, the knee where it now is: where a line beside the shin,
        # one clearance away, meets the roller's circle.
        def start_angle(body)
          shin = @wishes.start_bend_deg + mechanics(body).thigh_slope_deg
          beside = Geometry::Point.towards(shin - (90 * @machine.family.side))
          along = Geometry::Point.towards(shin)
          foot_of_line = @knee + (beside * (@parameters[:roller_radius] + body.calf_half))
          half = foot_of_line.dot(along)
          root = Math.sqrt([(half**2) - (foot_of_line.norm**2) + (@parameters[:roller_reach]**2), 0.0].max)
          (foot_of_line + (along * (root - half))).angle_deg
        end
      end
    end
  end
end
