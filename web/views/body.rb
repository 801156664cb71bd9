# frozen_string_literal: true

module Verglas
  module Web
    module Views
      # A body with how sure it is, its readings, and what each further reading would be expected to say.
      module Body
        INTERVAL = Statistics::Gaussian::INTERVAL

        module_function

        # Every parameter: taped where some used reading speaks of it, learned where a checked fitting does.
        def dimensions(estimation)
          mean = estimation.estimate.mean
          sds = estimation.estimate.sd
          taped = taped(estimation)
          learned = speaks_of(estimation.learned.flatten.map(&:row))
          mean.map do |name, value|
            {
              name: name,
              title: Formats::Words.say("dimensions.#{name}"),
              mm: value.round(1),
              sd_mm: sds[name].round(1),
              source: source(name, taped, learned)
            }
          end
        end

        def source(name, taped, learned)
          return "taped" if taped.include?(name)

          learned.include?(name) ? "learned" : "estimated"
        end

        # Parameters which some used reading speaks of directly.
        def taped(estimation)
          speaks_of(
            estimation
              .reports
              .reject(&:refused)
              .map { |report| Verglas::Body::Observation.fetch(report.reading.observation).row }
          )
        end

        def speaks_of(rows)
          rows
            .flat_map { |row| Verglas::Body::PARAMETERS.zip(row).reject { |_, factor| factor.zero? }.map(&:first) }
            .uniq
        end

        # Every way of taping: what is expected (judged by all other readings), and what was read.
        def observations(client, rows, estimation, ranking)
          reports = estimation.reports.to_h { |report| [report.reading.observation, report] }
          Verglas::Body::Observation::ALL.each_value.map do |observation|
            row = rows.find { |candidate| candidate[:observation] == observation.name.to_s }
            {
              name: observation.name,
              title: Formats::Words.say("observations.#{observation.name}.title"),
              how: Formats::Words.say("observations.#{observation.name}.how"),
              **expected(client, rows, observation),
              gain: gain(ranking, observation),
              reading: row && reading(row, reports[observation.name])
            }
          end
        end

        def expected(client, rows, observation)
          others = rows.reject { |row| row[:observation] == observation.name.to_s }
          estimation = Application::ClientBody.estimation(client, others)
          mean, sd = estimation.estimate.expected(observation, estimation.build)
          {
            expected_mm: mean.round(1),
            low_mm: (mean - (INTERVAL * sd)).round(1),
            high_mm: (mean + (INTERVAL * sd)).round(1)
          }
        end

        def reading(row, report)
          {
            value_mm: row[:value_mm].to_f,
            unit: row[:unit],
            state: Told::Estimate.state(report),
            taken_at: Told.time(row[:taken_at]),
            taken_by: row[:taken_by_name]
          }
        end

        # The share of what is still unsure about the open settings that this reading would take away, 0..1.
        def gain(ranking, observation)
          ranking.find { |offer| offer.observation == observation.name }&.share.to_f.round(3)
        end
      end
    end
  end
end
