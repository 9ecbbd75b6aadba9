# frozen_string_literal: true

# Whatever a file is made of, what is done with it ends soon: in an answer or in a sentence. Each kind in a process of
# its own, so that its time and its memory are its own. The limit on time is twice what is asked (for three formats
# together where it is converted), as machines are noisy: what grows with its square takes minutes.
RSpec.describe "files of extremes" do
  # EXTREMES=1 for the whole size of each, which takes minutes.
  seconds, megabytes, size = 5, 400, ENV["EXTREMES"] ? 1.0 : 0.01
  stages = {
    "read" => ->(held) { held[:document] = Norvel::Formats.read(held[:bytes], name: held[:name]) },
    "checked" => ->(held) {
      Norvel::Guide::Check.new(Norvel::Guide.find("ravelmouth-thesis"), held[:document])
        .findings
    },
    "laid out" => ->(held) { Norvel::Layout.of(held[:document]) },
    "planned" => ->(held) { Norvel::Guide::Plan.new(Norvel::Guide.find("ravelmouth-thesis"), held[:document]).left },
    "converted" => ->(held) do
      (%w[odt docx html markdown] - [held[:document].format]).each do |format|
        Norvel::Formats.write(held[:document], as: format)
      rescue Norvel::Unwritable, Norvel::UnreadableFile
        next # in a sentence
      end
    end
  }

  define_method(:megabytes_of) { |name| File.read("/proc/self/status")[/#{name}:\s+(\d+)/, 1].to_i / 1024 }

  # What all of them load is loaded once.
  before :all do
    {name: "x.docx", bytes: package(p(r("a")))}.then { |held| stages.each_value { |work| work.call(held) } }
  end

  # [[stage, seconds of the processor, what was said], …, megabytes at most] of a file.
  define_method(:worked) do |name, bytes|
    from, to = IO.pipe
    child = fork do
      held = {name:, bytes: bytes.b}
      before = megabytes_of("VmRSS")
      Process.setrlimit(Process::RLIMIT_CPU, 90)
      told = stages.map do |stage, work|
        began = Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID)
        said = begin
          work.call(held) && nil
        rescue Norvel::Error => error
          error.message
        rescue SystemStackError, StandardError => error
          "fault: #{error.class} #{error.message[0, 60]}"
        end
        result = [stage, Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID) - began, said]
        break [result] if stage == "read" && said
        result
      end
      to.write(Marshal.dump(told + [megabytes_of("VmHWM") - before]))
      to.close
      exit!
    end
    to.close
    Marshal.load(from.read)
  rescue ArgumentError
    [["any", Float::INFINITY, "ended"], 0]
  ensure
    Process.wait(child) if child
  end

  Extremes.all.each do |format, kinds|
    it "in #{format} end soon, whatever is done with them" do
      dice = Random.new(RSpec.configuration.seed)
      found = kinds.flat_map do |kind, make|
        *told, most = worked("x.#{format}", make.call(size * (1 - (dice.rand * 0.1))))
        bad = told.select do |stage, took, said|
          took > seconds * ((stage == "converted") ? 6 : 2) || said.to_s.match?(/\Afault|\Aended/)
        end
        bad.map { |stage, took, said| "#{kind} #{stage}: #{took.round(1)} s #{said}" } +
          ((most > megabytes) ? ["#{kind}: #{most} MB"] : [])
      end
      expect(found).to eq []
    end
  end
end
